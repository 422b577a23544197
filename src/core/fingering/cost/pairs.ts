import type { Press } from "../frames/frame";
import type { Moment } from "./cause";
import { boundShare } from "./join";

type Visit = (from: Press, to: Press, share: number) => void;

/**
 * Every pair of a finger that struck before and one that strikes now, with the share of it that is really stretched.
 * Between chords the pairs share one note's weight, for the hand moves as a whole. Within a rolled chord nothing has
 * to stretch: the hand sweeps; nor where it is carried across.
 */
export function eachJoinPair(moment: Moment, visit: Visit): void {
  const { now, before, carried } = moment;
  if (before === null || carried || now.onset.swept) return;
  const share = 1 / (Math.max(1, before.struck.length) * Math.max(1, now.struck.length));
  for (const from of before.struck) {
    if (now.struck.length === 0 || now.held.includes(from)) continue;
    const bound = share * boundShare(from, moment);
    if (bound === 0) continue;
    for (const to of now.struck) if (from.finger !== to.finger) visit(from, to, bound);
  }
}
