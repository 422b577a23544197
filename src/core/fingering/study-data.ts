import { handOfRulerSpan } from "../hand/hand";
import type { Side } from "../hand/finger";
import { instrument } from "../keyboard/instrument";
import type { Manner, Passage } from "../passage/passage";
import type { Study } from "./study";

/** Everything a study is made from, as plain data that can travel to a worker or a browser. */
export interface StudyData {
  readonly passage: Passage;
  /** Ruler spans in mm. */
  readonly spans: Readonly<Record<Side, number>>;
  /** mm from C to C. */
  readonly octaveWidth: number;
  readonly manner: Manner;
}

/** The study that plain data describes. @throws RangeError for a span or octave outside what can be */
export function studyOf({ passage, spans, octaveWidth, manner }: StudyData): Study {
  return {
    passage,
    hands: { right: handOfRulerSpan("right", spans.right), left: handOfRulerSpan("left", spans.left) },
    instrument: instrument(octaveWidth),
    manner,
  };
}
