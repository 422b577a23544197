import type { Weights } from "@/core/fingering/cost/weights";

/** Weights that bear on which fingering is best for single hands; each with the range in which it keeps its meaning. */
export const RANGES: Partial<Record<keyof Weights, readonly [number, number]>> = {
  opening: [0.01, 0.4],
  openingBeyond: [0.05, 1.5],
  crowding: [0.1, 1.2],
  lineBroken: [60, 250],
  carry: [0.02, 0.5],
  shortfall: [0.02, 1],
  position: [4, 40],
  outOfPlace: [0.1, 12],
  thumbPass: [5, 90],
  thumbPassFar: [0.5, 30],
  thumbPassBehind: [0.05, 3],
  thumbPassAgainst: [4, 50],
  thumbPassLevel: [0.5, 20],
  crossing: [20, 120],
  forOneNote: [0.1, 15],
  forTwoNotes: [2, 40],
  thumbOnBlack: [2, 60],
  littleOnBlack: [1, 40],
  weakFinger: [0.1, 2],
  weakPairPerHz: [0.05, 0.6],
  alternation: [0.2, 10],
  neighbourPerMm: [0.05, 0.8],
  inOut: [0.02, 0.5],
  rotation: [0.5, 10],
  repetitionPerHz: [3, 30],
  otherFinger: [1, 20],
  holding: [0.1, 1.5],
  holdingBeyond: [0.5, 4],
  memory: [4, 40],
};

export const TUNED = Object.keys(RANGES) as readonly (keyof Weights)[];

/** Every weight in the middle of its range, by the mean of the logarithms. */
export function afresh(weights: Weights): Weights {
  const middle = (name: keyof Weights): number => Math.sqrt(RANGES[name]![0] * RANGES[name]![1]);
  return TUNED.reduce<Weights>((sum, name) => {
    const value = sum[name];
    return {
      ...sum,
      [name]: typeof value === "number" ? middle(name) : value.map((v) => (v === 0 ? 0 : middle(name))),
    };
  }, weights);
}

/** The weights with one of them times a factor; a list of them all together. */
export function multiplied(weights: Weights, name: keyof Weights, factor: number): Weights {
  const value = weights[name];
  return { ...weights, [name]: typeof value === "number" ? value * factor : value.map((each) => each * factor) };
}

/** The same, within the range of that weight. */
export function scaled(weights: Weights, name: keyof Weights, factor: number): Weights {
  const [least, most] = RANGES[name]!;
  const within = (value: number): number => (value === 0 ? 0 : Math.min(most, Math.max(least, value)));
  const found = multiplied(weights, name, factor)[name];
  return { ...weights, [name]: typeof found === "number" ? within(found) : found.map(within) };
}
