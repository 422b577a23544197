import type { Finger, Side } from "../../hand/finger";
import { handOfMeasured, type HandMeasured } from "../../hand/measured";
import { USUAL_FIGURES, type OwnFigures } from "../../hand/own";
import { instrument } from "../../keyboard/instrument";
import type { Manner, Passage } from "../../passage/passage";
import { placementsOf } from "../../placement/placements";
import type { Study } from "./study";

/** A hand as plain data. */
export interface HandGiven {
  readonly measured: HandMeasured;
  readonly resting: readonly Finger[];
}

/** Everything a study is made from, as plain data that can travel to a worker or a browser. */
export interface StudyData {
  readonly passage: Passage;
  readonly hands: Readonly<Record<Side, HandGiven>>;
  /** mm from C to C. */
  readonly octaveWidth: number;
  readonly manner: Manner;
  /** What the player's own takes have shown; as usual where not given. */
  readonly own?: OwnFigures;
}

/** The study that plain data describes. @throws RangeError for an octave outside what can be */
export function studyOf({ passage, hands, octaveWidth, manner, own = USUAL_FIGURES }: StudyData): Study {
  const on = instrument(octaveWidth);
  const { movement } = own;
  const right = { ...handOfMeasured("right", hands.right.measured, hands.right.resting), movement };
  const left = { ...handOfMeasured("left", hands.left.measured, hands.left.resting), movement };
  return {
    passage,
    hands: { right, left },
    instrument: on,
    placements: { right: placementsOf(right, on), left: placementsOf(left, on) },
    manner,
    own: own.causes,
  };
}
