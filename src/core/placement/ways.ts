import { limitsOf, type Hand } from "../hand/hand";
import type { Finger } from "../hand/finger";
import type { Limits } from "../hand/limits";
import { HAND, PLACEMENT } from "../physics";

/** How the fingers are bent. */
export type Shape = "curled" | "natural" | "flat";
/** Which side the hand leans to, playing on the sides of the fingers. */
export type Tilt = "upright" | "leaning";

export const SHAPES: readonly Shape[] = ["natural", "curled", "flat"];
export const TILTS: readonly Tilt[] = ["upright", "leaning"];

/** A way of holding the hand. */
export interface Way {
  readonly shape: Shape;
  readonly tilt: Tilt;
}

/** A pair's limits in a shape and tilt, in mm. Relaxed and comfortable scale together, the widest by its own share. */
export function limitsIn(hand: Hand, a: Finger, b: Finger, { shape, tilt }: Way): Limits {
  const base = limitsOf(hand, a, b);
  const shares = PLACEMENT.shapes[shape];
  const [comfortable, widest] = Math.min(a, b) === 1 ? shares.thumb : shares.others;
  const outer = a === 1 || b === 1 || a === 5 || b === 5;
  const gain = tilt === "leaning" && outer ? 1 + PLACEMENT.tiltGain : 1;
  const relaxedTo = Math.max(base.leastRelaxed, base.widestRelaxed * comfortable * gain);
  const comfortableTo = Math.max(relaxedTo + HAND.leastRamp, base.widestComfortable * comfortable * gain);
  return {
    ...base,
    widestRelaxed: relaxedTo,
    widestComfortable: comfortableTo,
    widestPractical: Math.max(comfortableTo + HAND.leastRamp, base.widestPractical * widest * gain),
  };
}

/** Strain of holding the hand this way at all. */
export function strainOfWay({ shape, tilt }: Way): number {
  return PLACEMENT.shapeStrain[shape] + (tilt === "leaning" ? PLACEMENT.tiltStrain : 0);
}
