import type { Drill, DrillKind } from "../drill";
import type { Source } from "../source";
import { aside } from "./aside";
import { bursts } from "./bursts";
import { fromTheEnd } from "./from-the-end";
import { joinsAlone } from "./joins";
import { mirror } from "./mirror";
import { overlapping } from "./overlapping";
import { positionsAlone } from "./positions";
import { rhythms } from "./rhythms";
import { solidChords, solidChordsQuicker } from "./solid-chords";
import { stopAfter } from "./stop-after";

/** Every kind of drill, in the order in which they are offered. */
export const DRILL_KINDS: readonly DrillKind[] = [
  positionsAlone,
  joinsAlone,
  solidChords,
  solidChordsQuicker,
  stopAfter,
  bursts,
  rhythms,
  overlapping,
  fromTheEnd,
  mirror,
  aside,
];

/** All drills that one hand of a passage gives. */
export function drillsOf(source: Source): readonly Drill[] {
  return DRILL_KINDS.flatMap((kind) => kind.make(source));
}
