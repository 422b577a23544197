import { strainOfOpening } from "../../hand/limits";
import { limitsOf } from "../../hand/hand";
import type { Frame } from "../../fingering/frames/frame";
import type { Task } from "../../fingering/study/task";
import { COMFORT, PLAN } from "../../physics";
import type { Shape } from "../../placement/ways";

/** The shape that the texture about an onset asks for, and why. */
export interface Texture {
  readonly shape: Shape;
  readonly why: string;
}

const NATURAL: Texture = { shape: "natural", why: "the natural curve, for nearly everything" };

/**
 * Flat for writing on black keys, wide or singing; curled for even quick runs on white keys; natural for the rest. By
 * the onset itself and two to either side: share of black keys, notes a second, chords, the widest opening, the pedal.
 */
export function textureAt(task: Task, frames: readonly Frame[], index: number): Texture {
  const near = frames
    .slice(Math.max(0, index - PLAN.textureAbout), index + PLAN.textureAbout + 1)
    .filter((f) => f.struck.length > 0);
  if (near.length === 0) return NATURAL;
  const struck = near.flatMap((f) => f.struck);
  const black = struck.filter((p) => p.black).length / struck.length;
  if (black >= PLAN.blackShare) return { shape: "flat", why: "mostly black keys: the fingers lie along them" };
  if (isWide(task, near)) return { shape: "flat", why: "a wide opening: long fingers reach farther" };
  if (sings(task, frames[index]!)) return { shape: "flat", why: "a singing line: the pad of the finger sounds fuller" };
  const gaps = near.flatMap(({ onset }) => (Number.isFinite(onset.gap) ? [onset.gap] : []));
  const isEven = gaps.length > 0 && Math.max(...gaps) <= 1000 / PLAN.beadRate;
  if (isEven && near.every((f) => f.struck.length === 1) && black < PLAN.curledBlackShare && !task.manner.pedal)
    return { shape: "curled", why: "an even quick run: firm tips" };
  return NATURAL;
}

function isWide({ hand }: Task, near: readonly Frame[]): boolean {
  return near.some(({ struck }) =>
    struck.some((a, i) =>
      struck.slice(i + 1).some((b) => {
        if (a.finger === b.finger) return false;
        return strainOfOpening(Math.abs(b.x - a.x), limitsOf(hand, a.finger, b.finger)) > COMFORT;
      }),
    ),
  );
}

function sings({ manner }: Task, { struck }: Frame): boolean {
  return manner.touch === "legato" && struck.some(({ stroke }) => stroke.tune && stroke.soundsMs >= PLAN.singingMs);
}
