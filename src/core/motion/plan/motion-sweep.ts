import { rockingRate } from "../../fingering/cost/rocking";
import type { Fingering } from "../../fingering/study/fingering";
import type { Study } from "../../fingering/study/study";
import { MOTION } from "../../physics";
import { planOf } from "./plan";

/** What the plan of some fingerings comes to at some tempi. */
export interface MotionSweep {
  /** Quarter notes a minute, from slow to fast. */
  readonly tempos: readonly number[];
  /** One a fingering, each list by tempo. */
  readonly curves: readonly MotionCurve[];
}

export interface MotionCurve {
  /** Fastest full cycles a second of the forearm. */
  readonly rotation: readonly number[];
  /** mm a second that the wrists travel along the keys. */
  readonly travel: readonly number[];
  /** Share of the onsets, in hundredths, after which there is time to close. */
  readonly windows: readonly number[];
}

/** Tempi at which it is worked out. A choice: what lies between changes evenly. */
const TEMPI = 9;

/** Plans fingerings at tempi evenly apart. A generator: it yields how many tempi are done, so that it can be stopped. */
export function* motionSweeping(
  study: Study,
  fingerings: readonly Fingering[],
  low: number,
  high: number,
): Generator<number, MotionSweep> {
  const tempos = Array.from({ length: TEMPI }, (_, i) => Math.round(low + ((high - low) * i) / (TEMPI - 1)));
  const curves = fingerings.map(() => ({ rotation: [] as number[], travel: [] as number[], windows: [] as number[] }));
  for (const [done, tempo] of tempos.entries()) {
    const at: Study = { ...study, manner: { ...study.manner, tempo } };
    for (const [i, fingering] of fingerings.entries()) {
      const found = motionOf(at, fingering);
      for (const name of ["rotation", "travel", "windows"] as const) curves[i]![name].push(found[name]);
    }
    yield done + 1;
  }
  return { tempos, curves };
}

function motionOf(study: Study, fingering: Fingering): { rotation: number; travel: number; windows: number } {
  // A hand that has nothing to play has no frame.
  const hands = planOf(study, fingering).hands.filter(({ frames }) => frames.length > 0);
  const rates = hands.flatMap(({ frames }) =>
    frames.slice(2).map((now, i) => rockingRate(frames[i]!.frame, frames[i + 1]!.frame, now.frame)),
  );
  const releases = hands.flatMap((h) => h.releases);
  const seconds = Math.max(0.001, ...hands.map(({ frames }) => (frames.at(-1)!.ms - frames[0]!.ms) / 1000));
  const open = releases.filter((r) => r.window >= MOTION.closeMs).length;
  return {
    rotation: Math.max(0, ...rates),
    travel: hands.reduce((sum, h) => sum + h.body.travel, 0) / seconds,
    windows: releases.length === 0 ? 100 : (100 * open) / releases.length,
  };
}
