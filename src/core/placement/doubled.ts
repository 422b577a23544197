import type { Side } from "../hand/finger";
import { isBlack } from "../keyboard/pitch";
import type { Hold } from "./placement";

/** Whether two holds are the thumb lying across two neighbouring white keys. */
export function thumbTakesBoth(one: Hold, other: Hold): boolean {
  if (one.finger !== 1 || other.finger !== 1 || isBlack(one.key) || isBlack(other.key)) return false;
  const apart = Math.abs(other.key - one.key);
  return apart === 1 || apart === 2;
}

/**
 * Holds with a thumb on two neighbouring white keys counted on the one nearer the other fingers: it lies about the
 * border of the two, which that key reaches. null where a finger is on two keys otherwise.
 */
export function withoutDoubled(holds: readonly Hold[], side: Side): readonly Hold[] | null {
  const byFinger = new Map<number, Hold>();
  for (const hold of holds) {
    const other = byFinger.get(hold.finger);
    if (other === undefined) byFinger.set(hold.finger, hold);
    else if (!thumbTakesBoth(other, hold)) return null;
    else if (hold.key > other.key === (side === "right")) byFinger.set(hold.finger, hold);
  }
  return [...byFinger.values()];
}
