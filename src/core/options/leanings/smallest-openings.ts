import { times, type Leaning } from "./leaning";

export const smallestOpenings: Leaning = {
  id: "smallest-openings",
  label: "smallest openings",
  what: "Keeps the hand small: openings between notes and inside chords weigh three times as much.",
  weigh: (plain) =>
    times(plain, { opening: 3, openingBeyond: 3, heldOpen: 3, neighbourPerMm: 3, holding: 3, holdingBeyond: 3 }),
};
