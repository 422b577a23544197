import type { Press } from "../frame";
import type { Moment } from "./cause";

type Visit = (from: Press, to: Press, share: number) => void;

/**
 * Every pair of fingers down together now, of which at least one strikes now; the later finger second. A
 * pair counts whole when it is alone and less the more fingers are down, so that a chord's strain is of the
 * order of its placement's and not of the number of its pairs.
 */
export function eachChordPair({ now }: Moment, visit: Visit): void {
  const { struck, held } = now;
  const share = 2 / (struck.length + held.length);
  for (let i = 0; i < struck.length; i++) {
    const to = struck[i] as Press;
    for (let j = 0; j < i; j++) visitDifferent(struck[j] as Press, to, visit, share);
    for (const from of held) visitDifferent(from, to, visit, share);
  }
}

/**
 * Every pair of a finger that struck before and one that strikes now. Between chords the pairs share one
 * note's weight, for the hand moves as a whole.
 */
export function eachJoinPair({ now, before }: Moment, visit: Visit): void {
  if (before === null) return;
  const share = 1 / (Math.max(1, before.struck.length) * Math.max(1, now.struck.length));
  for (const from of before.struck) {
    if (now.held.includes(from)) continue;
    for (const to of now.struck) visitDifferent(from, to, visit, share);
  }
}

function visitDifferent(from: Press, to: Press, visit: Visit, share: number): void {
  if (from.finger !== to.finger) visit(from, to, share);
}
