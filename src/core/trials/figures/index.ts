import type { Heard } from "../heard";
import { chordSpread } from "./chord-spread";
import { evenness } from "./evenness";
import { added, missed, neighbours, twice, wrong } from "./faults";
import type { TakeFigure, TakeFigureFound } from "./figure";
import { heldLong } from "./held-long";
import { lateness } from "./lateness";
import { overlap } from "./overlap";
import { strength } from "./strength";
import { tempo } from "./tempo";
import { together } from "./together";
import { voicing } from "./voicing";

export type { TakeFigure } from "./figure";

/** All figures of a take, in the order in which they are shown. */
export const TAKE_FIGURES: readonly TakeFigure[] = [
  missed,
  wrong,
  added,
  twice,
  neighbours,
  tempo,
  evenness,
  lateness,
  together,
  chordSpread,
  overlap,
  heldLong,
  voicing,
  strength,
];

/** Every figure of a take by its id; what a take tells nothing of is not there. */
export type TakeFigures = Readonly<Record<string, TakeFigureFound>>;

/** All figures of a take that it has something to tell of. */
export function figuresOf(heard: Heard): TakeFigures {
  return Object.fromEntries(
    TAKE_FIGURES.flatMap((figure) => {
      const found = figure.find(heard);
      return found === null ? [] : [[figure.id, found]];
    }),
  );
}
