import { balanced } from "./balanced";
import { legato } from "./legato";
import { carried } from "./carried";
import { clearestAtSpeed } from "./clearest-at-speed";
import { fewestMoves } from "./fewest-moves";
import type { Leaning } from "./leaning";
import { leastStrain } from "./least-strain";
import { otherwise } from "./otherwise";
import { sameFigure } from "./same-figure";
import { smallestOpenings } from "./smallest-openings";
import { strongOnTune } from "./strong-on-tune";

/** The plain sum first. */
export const LEANINGS: readonly Leaning[] = [
  balanced,
  leastStrain,
  smallestOpenings,
  fewestMoves,
  clearestAtSpeed,
  strongOnTune,
  sameFigure,
  legato,
  carried,
  otherwise,
];

export const LEANING_IDS = [
  "balanced",
  "least-strain",
  "smallest-openings",
  "fewest-moves",
  "clearest-at-speed",
  "strong-on-tune",
  "same-figure",
  "legato",
  "carried",
  "otherwise",
] as const;

export type LeaningId = (typeof LEANING_IDS)[number];

/** The leaning of an id. Every id has one: `LEANING_IDS` and `LEANINGS` name the same, which the leanings' test holds. */
export function leaningById(id: LeaningId): Leaning {
  return LEANINGS.find((leaning) => leaning.id === id)!;
}
