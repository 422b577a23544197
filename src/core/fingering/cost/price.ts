import type { Finger } from "../../hand/finger";
import type { Stroke } from "../../passage/strokes";
import type { Digits } from "../study/fingering";
import { frameAfter, press, type Frame, type Press } from "../frames/frame";
import type { Task } from "../study/task";
import type { CauseFound, Moment, Tell } from "./cause";
import { CAUSES } from "./causes";
import { letsGo } from "./join";

/** One cause found at one stroke. */
interface Finding extends CauseFound {
  readonly cause: string;
  readonly stroke: Stroke;
}

/** A priced fingering of one line. */
export interface Priced {
  /** Sum of all strains: what the search minimises. */
  readonly total: number;
  readonly findings: readonly Finding[];
  /** Strain by Stroke.index. */
  readonly byStroke: Float64Array;
}

/** A moment while it is made. */
type Making = { -readonly [Key in keyof Moment]: Moment[Key] };

/**
 * Prices any fingering of a line, possible or not: every cause at every onset, each taken apart.
 * @param digits a finger by Stroke.index, 0 where none plays; a finger on two keys at once is priced as an
 *   opening of one finger would be, that is not at all, so candidatesFor decides what may be searched
 */
export function price(task: Task, digits: Digits): Priced {
  const findings: Finding[] = [];
  const byStroke = new Float64Array(task.line.strokes.length);
  let total = 0;
  let letGoBefore = false;
  let asked = "";
  let times = 1;
  const tell: Tell = (stroke, amount, usual, finger, other) => {
    const strain = times * usual;
    findings.push({ cause: asked, stroke, amount, strain, finger, other });
    byStroke[stroke.index]! += strain;
    total += strain;
  };
  // Tests price millions of fingerings: a moment is made at once, and the list looked up once.
  const { hand, instrument, placements, manner, weights, own } = task;
  const causes = CAUSES;
  let before: Frame | null = null;
  let earlier: Frame | null = null;
  for (const now of framesOf(task, digits)) {
    const moment: Making = {
      hand,
      instrument,
      placements,
      manner,
      weights,
      now,
      before,
      earlier: null,
      letGo: false,
      letGoBefore,
    };
    letGoBefore = moment.letGo = letsGo(moment);
    moment.earlier = earlier;
    for (const cause of causes) {
      asked = cause.id;
      times = own[asked] ?? 1;
      cause.find(moment, tell);
    }
    earlier = before;
    before = now;
  }
  return { total, findings, byStroke };
}

/** The frames that a fingering of a line makes, one an onset. */
export function framesOf(task: Task, digits: Digits): readonly Frame[] {
  const frames: Frame[] = [];
  let before: Frame | null = null;
  for (const onset of task.line.onsets) {
    const struck: Press[] = [];
    const leftOut: Stroke[] = [];
    for (const stroke of onset.struck) {
      const digit = digits[stroke.index];
      if (digit) struck.push(press(digit as Finger, stroke, task));
      else leftOut.push(stroke);
    }
    struck.sort((a, b) => a.x - b.x);
    before = frameAfter(before, onset, struck, leftOut, task);
    frames.push(before);
  }
  return frames;
}
