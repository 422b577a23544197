/** How the lines of several fingerings are told apart without colour: by dashes and weight, in their order. */
export const STROKES = [
  { dash: "none", width: 2.2 },
  { dash: "7 4", width: 1.8 },
  { dash: "2 3", width: 2.2 },
  { dash: "10 3 2 3", width: 1.6 },
] as const;
