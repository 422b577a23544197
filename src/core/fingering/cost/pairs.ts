import type { Press } from "../frame";
import type { Moment } from "./cause";

type Visit = (from: Press, to: Press, share: number) => void;

/**
 * Every pair of a finger that struck before and one that strikes now. Between chords the pairs share one
 * note's weight, for the hand moves as a whole. Within a rolled chord nothing has to stretch: the hand sweeps.
 */
export function eachJoinPair({ now, before }: Moment, visit: Visit): void {
  if (before === null || now.onset.swept) return;
  const share = 1 / (Math.max(1, before.struck.length) * Math.max(1, now.struck.length));
  for (const from of before.struck) {
    if (now.held.includes(from)) continue;
    for (const to of now.struck) visitDifferent(from, to, visit, share);
  }
}

function visitDifferent(from: Press, to: Press, visit: Visit, share: number): void {
  if (from.finger !== to.finger) visit(from, to, share);
}
