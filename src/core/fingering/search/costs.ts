import type { Cause, Moment, Tell } from "../cost/cause";
import { CAUSES } from "../cost/causes";
import { isCarried } from "../cost/join";
import type { Frame } from "../frames/frame";
import type { Task } from "../study/task";

/** The cost of a step, summed over the same causes that price a printed fingering. */
export interface Costs {
  /** Turns to the step from one frame to the next. */
  enter(now: Frame, before: Frame | null): void;
  /** Causes that look at one or two frames. */
  pair(): number;
  /** Causes that look at three, given the frame before the two. */
  triple(earlier: Frame | null): number;
}

const PAIR_CAUSES = CAUSES.filter((cause) => cause.frames < 3);
const TRIPLE_CAUSES = CAUSES.filter((cause) => cause.frames === 3);

type Refilled = { -readonly [Key in keyof Moment]: Moment[Key] };

/** Prices the frames of a task, one, two and three at a time: each a strain, 0 or more, without a unit. */
export function costsOf(task: Task): Costs {
  const { hand, instrument, placements, manner, weights } = task;
  const moment: Refilled = {
    hand,
    instrument,
    placements,
    manner,
    weights,
    now: null as unknown as Frame,
    before: null,
    earlier: null,
    carried: false,
  };
  let sum = 0;
  const tell: Tell = (_stroke, _amount, strain) => {
    sum += strain;
  };
  const over = (causes: readonly Cause[]): number => {
    sum = 0;
    for (let i = 0; i < causes.length; i++) causes[i]!.find(moment, tell);
    return sum;
  };
  return {
    enter(now, before) {
      moment.now = now;
      moment.before = before;
      moment.earlier = null;
      moment.carried = false;
      moment.carried = isCarried(moment);
    },
    pair() {
      moment.earlier = null;
      return over(PAIR_CAUSES);
    },
    triple(earlier) {
      moment.earlier = earlier;
      return over(TRIPLE_CAUSES);
    },
  };
}
