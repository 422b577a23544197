import type { Drill, DrillKind } from "../drill";
import type { Source } from "../source";
import { againstTheBeat } from "./against-the-beat";
import { alongside } from "./alongside";
import { imagined, withoutLooking, withoutPedal } from "./another-way";
import { aside } from "./aside";
import { bursts } from "./bursts";
import { carried } from "./carried";
import { closedHand } from "./closed-hand";
import { fromTheEnd } from "./from-the-end";
import { handAlone } from "./hand-alone";
import { joinsAlone } from "./joins";
import { loosened } from "./loosened";
import { mirror } from "./mirror";
import { overlapping } from "./overlapping";
import { positionsAlone } from "./positions";
import { rhythms } from "./rhythms";
import { solidChords, solidChordsQuicker } from "./solid-chords";
import { stopAfter } from "./stop-after";
import { touches } from "./touches";
import { trunk } from "./trunk";
import { tuneAlone } from "./tune-alone";
import { voicesAlone } from "./voices";
import { warmScale } from "./warm-scale";
import { warmEasy, warmFive } from "./warm-up";

/** Every kind of drill, in the order in which they are offered. */
export const DRILL_KINDS: readonly DrillKind[] = [
  positionsAlone,
  joinsAlone,
  solidChords,
  solidChordsQuicker,
  loosened,
  closedHand,
  stopAfter,
  bursts,
  rhythms,
  touches,
  againstTheBeat,
  overlapping,
  fromTheEnd,
  tuneAlone,
  voicesAlone,
  handAlone,
  alongside,
  mirror,
  aside,
  carried,
  trunk,
  withoutPedal,
  withoutLooking,
  imagined,
  warmFive,
  warmScale,
  warmEasy,
];

/** All drills that one hand of a passage gives. */
export function drillsOf(source: Source): readonly Drill[] {
  return DRILL_KINDS.flatMap((kind) => kind.make(source));
}
