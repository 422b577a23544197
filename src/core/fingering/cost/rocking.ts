import type { Frame } from "../frames/frame";

/**
 * Full cycles a second at which the forearm turns to and fro over three onsets: one finger, another, and back towards
 * the first. 0 where it does not turn back. Of a chord the finger at the thumb's side counts.
 */
export function rockingRate(earlier: Frame, before: Frame, now: Frame): number {
  const from = earlier.struck[0];
  const through = before.struck[0];
  const to = now.struck[0];
  if (!from || !through || !to) return 0;
  const turned = (through.finger - from.finger) * (to.finger - through.finger);
  return turned >= 0 ? 0 : 1000 / (now.onset.gap + before.onset.gap);
}
