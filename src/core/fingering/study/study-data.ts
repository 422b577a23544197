import type { Side } from "../../hand/finger";
import type { HandGiven } from "../../hand/measured";
import { USUAL_FIGURES, type OwnFigures } from "../../hand/own";
import type { Manner, Passage } from "../../passage/passage";
import { keptHandsOf } from "./kept-hands";
import type { Study } from "./study";

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
  return { passage, ...keptHandsOf(hands, octaveWidth, own.movement), manner, own: own.causes };
}
