import type { Cause, Moment, Tell } from "../cost/cause";
import { CAUSES } from "../cost/causes";
import { letsGo } from "../cost/join";
import type { Frame } from "../frames/frame";
import type { Task } from "../study/task";

/** The cost of a step, summed over the same causes that price a printed fingering. */
export interface Costs {
  /** Turns to the step from one frame to the next, and says whether the hand lets go between them. */
  enter(now: Frame, before: Frame | null): boolean;
  /** Turns to a step that was entered before. */
  resume(now: Frame, before: Frame | null, letGo: boolean): void;
  /** Causes that look at one frame alone, whatever is before it. */
  single(now: Frame): number;
  /** Causes that look at two frames. */
  pair(): number;
  /** Causes that look at three, given the frame before the two and whether the hand let go between that and the next. */
  triple(earlier: Frame | null, letGoBefore: boolean): number;
}

const causesOver = (frames: Cause["frames"]): readonly Cause[] => CAUSES.filter((cause) => cause.frames === frames);
const [SINGLE_CAUSES, PAIR_CAUSES, TRIPLE_CAUSES] = [causesOver(1), causesOver(2), causesOver(3)];

type Refilled = { -readonly [Key in keyof Moment]: Moment[Key] };

/** Prices the frames of a task, one, two and three at a time: each a strain, 0 or more, without a unit. */
export function costsOf(task: Task): Costs {
  const { hand, instrument, placements, manner, weights, own } = task;
  const moment: Refilled = {
    hand,
    instrument,
    placements,
    manner,
    weights,
    now: null as unknown as Frame,
    before: null,
    earlier: null,
    letGo: false,
    letGoBefore: false,
  };
  let sum = 0;
  let times = 1;
  const tell: Tell = (_stroke, _amount, strain) => {
    sum += times * strain;
  };
  const timesOf = (causes: readonly Cause[]): Float64Array => Float64Array.from(causes, ({ id }) => own[id] ?? 1);
  const [singleTimes, pairTimes, tripleTimes] = [SINGLE_CAUSES, PAIR_CAUSES, TRIPLE_CAUSES].map(timesOf);
  const over = (causes: readonly Cause[], weighing: Float64Array): number => {
    sum = 0;
    for (let i = 0; i < causes.length; i++) {
      times = weighing[i]!;
      causes[i]!.find(moment, tell);
    }
    return sum;
  };
  return {
    enter(now, before) {
      moment.now = now;
      moment.before = before;
      moment.earlier = null;
      moment.letGo = false;
      return (moment.letGo = letsGo(moment));
    },
    resume(now, before, letGo) {
      moment.now = now;
      moment.before = before;
      moment.letGo = letGo;
    },
    single(now) {
      moment.now = now;
      return over(SINGLE_CAUSES, singleTimes!);
    },
    pair() {
      moment.earlier = null;
      return over(PAIR_CAUSES, pairTimes!);
    },
    triple(earlier, letGoBefore) {
      moment.earlier = earlier;
      moment.letGoBefore = letGoBefore;
      return over(TRIPLE_CAUSES, tripleTimes!);
    },
  };
}
