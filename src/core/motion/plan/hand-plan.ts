import { framesOf } from "../../fingering/cost/price";
import type { Digits } from "../../fingering/study/fingering";
import type { Task } from "../../fingering/study/task";
import type { Side } from "../../hand/finger";
import type { Hand } from "../../hand/hand";
import { MOTION, PLAN } from "../../physics";
import type { BothInFront, LeapsTogether } from "./both-hands";
import { effortsOf, type Effort } from "../hand/efforts";
import { bodyRoomOf, type BodyRoom } from "../path/body";
import { reachedSideways, type ReachedSideways } from "../path/centre";
import { clearancesOf, type Clearance } from "../hand/clearance";
import { dragsOf, type Drag } from "../hand/drag";
import { circleOf, longestFrozen, type Circle, type Frozen } from "../path/height";
import { impulsesOf, type Impulse } from "../groups/impulses";
import { inOutsOf, type InOut } from "../path/in-out";
import { pathOf, type Path, type PlanFrame } from "../path/path";
import { closingOf, type Closing } from "../hand/closing";
import { releasesOf, type Release } from "../hand/release";
import { rockingsOf, type Rocking } from "../hand/turn";
import { clashesOf, turnsOf, type Turn, type TurnClash } from "../hand/turns";
import { voicingOf, type Voiced } from "../groups/voicing";

/** The plan of one hand: its path, and every figure that is read off it. Plain data, so that a worker can give it away. */
export interface HandPlan {
  readonly side: Side;
  readonly hand: Hand;
  readonly path: Path;
  readonly frames: readonly PlanFrame[];
  readonly impulses: readonly Impulse[];
  readonly rockings: readonly Rocking[];
  readonly turns: readonly Turn[];
  readonly clashes: readonly TurnClash[];
  readonly circles: readonly Circle[];
  readonly frozen: Frozen | null;
  readonly inOuts: readonly InOut[];
  readonly sideways: readonly ReachedSideways[];
  readonly body: BodyRoom;
  /** One fewer than frames: between each and the next. */
  readonly releases: readonly Release[];
  readonly closing: Closing;
  readonly efforts: readonly Effort[];
  readonly drags: readonly Drag[];
  readonly clearances: readonly Clearance[];
  readonly voicing: readonly Voiced[];
}

/** Plans one hand. @param digits a finger by Stroke.index, 0 where none plays */
export function handPlanOf(task: Task, digits: Digits): HandPlan {
  const at = framesOf(task, digits);
  const impulses = impulsesOf(task, at);
  const path = pathOf(task, at, new Set(impulses.map((g) => g.from)));
  const { frames } = path;
  const releases = releasesOf(task, at);
  const { line, instrument } = task;
  return {
    side: line.side,
    hand: task.hand,
    path,
    frames,
    impulses,
    rockings: rockingsOf(task.hand, at),
    turns: turnsOf(at),
    clashes: clashesOf(task.hand, at),
    circles: impulses.flatMap(({ from, to }) => circleOf(frames, from, to) ?? []),
    frozen: longestFrozen(frames),
    inOuts: inOutsOf(path),
    sideways: reachedSideways(frames, releases, instrument),
    body: bodyRoomOf(frames, line.side, instrument),
    releases,
    closing: closingOf(task, at, releases, MOTION.closeMs),
    efforts: effortsOf(task.hand, at),
    drags: dragsOf(task, frames),
    clearances: clearancesOf(task, at, PLAN.nearTimes * MOTION.safeClearance),
    voicing: voicingOf(line.side, frames),
  };
}

/** Everything that is found of the hands of a plan, before it is judged. */
export interface PlanFound {
  /** Quarter notes a minute. */
  readonly tempo: number;
  /** One a hand that plays, right first. */
  readonly hands: readonly HandPlan[];
  readonly together: readonly LeapsTogether[];
  /** Where both hands work in front of the body; null where they never do. */
  readonly inFront: BothInFront | null;
}
