import { PLAN } from "../../physics";
import { travelBetween } from "../../fingering/cost/travel";
import type { Frame } from "../../fingering/frames/frame";
import type { Task } from "../../fingering/study/task";
import { whiteWidth } from "../../keyboard/geometry";
import { touchOf, type StrokeTouch } from "../hand/touch";

/** Notes carried by one active movement, the rest passively. */
export interface Impulse {
  /** Places of its first onset and its last. */
  readonly from: number;
  readonly to: number;
  /** Why it starts where it does. */
  readonly why: string;
  readonly touch: StrokeTouch;
}

/**
 * The groups of a hand, in order: a new one where a slur begins, where the hand is set down anew, after a rest, where it is
 * louder, and with the beat where notes are quick, with the bar where they are not. A thumb pass ends none: the arm goes on
 * through it. One note is no group: where two begin on onsets that follow one another, the first holds.
 */
export function impulsesOf(task: Task, frames: readonly Frame[]): readonly Impulse[] {
  const whys = frames.map((_, i) => startsAt(task, frames, i));
  const starts = whys.flatMap((why, i) => {
    const isAlone = i > 0 && (whys[i - 1] !== null || i === frames.length - 1);
    return why === null || isAlone ? [] : [{ from: i, why }];
  });
  return starts.map(({ from, why }, i) => {
    const to = (starts[i + 1]?.from ?? frames.length) - 1;
    return { from, to, why, touch: touchOf(task, frames.slice(from, to + 1)) };
  });
}

function startsAt({ instrument, hand }: Task, frames: readonly Frame[], i: number): string | null {
  const [now, before] = [frames[i]!, frames[i - 1]];
  if (!before) return "it begins here";
  if (now.onset.swept) return null;
  const { gap } = now.onset;
  const earlier = before.onset.gap;
  if (Number.isFinite(earlier) && gap > PLAN.groupRest * earlier && gap > PLAN.groupQuick) return "after a longer note";
  if (now.struck.some((p) => p.stroke.slurBegins)) return "the slur begins";
  if (travelBetween(hand, before, now) > PLAN.groupCarried * whiteWidth(instrument)) return "the hand is set down anew";
  const loads = (frame: Frame): number => Math.max(0, ...frame.struck.map((p) => p.stroke.load));
  if (loads(now) > loads(before) + PLAN.groupLouder) return "it is louder here";
  const { pulse } = now.onset;
  if (gap <= PLAN.groupQuick && pulse !== "between") return "the beat carries it";
  if (gap > PLAN.groupQuick && pulse === "bar") return "the bar carries it";
  return null;
}
