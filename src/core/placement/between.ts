import { CONTACT } from "../physics";
import type { Instrument } from "../keyboard/instrument";
import type { Pitch } from "../keyboard/pitch";
import { spotsOn } from "./spots";

/**
 * mm between contact centres that two fingers must at least open to hold two keys, aiming at their facing edges:
 * white keys on their heads, black ones on their tops. Negative for keys that overlap so far.
 */
export function leastOpening(lower: Pitch, upper: Pitch, on: Instrument): number {
  const [low, high] = [lower, upper].map((key) => spotsOn(key, CONTACT.patch, on)[0]!) as [Spots, Spots];
  return high.left - low.right;
}

type Spots = ReturnType<typeof spotsOn>[number];
