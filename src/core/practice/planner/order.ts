import { DAY_PLAN } from "../../physics";
import { warmFor, type Warmth } from "./choose";
import type { Wanted } from "./wanted";

/**
 * The order of a day's blocks that is worth most: what is worth more comes while the player is fresh, each place later keeping
 * DAY_PLAN.later of it; two blocks of one passage in a row cost so much that they stand apart wherever they can. Never broken: no wide
 * opening before the hand has been warm for long enough, so the first block is not wide unless all are. Exact, by dynamic
 * programming over the sets of blocks played so far and the last of them (Held and Karp, SIAM 10(1), 1962): 2^n n steps
 * for n blocks, no more than DAY_PLAN.mostBlocks.
 * @throws RangeError where there are more blocks than that
 */
export function inBestOrder(blocks: readonly Wanted[], warmth: Warmth): readonly Wanted[] {
  const n = blocks.length;
  if (n > DAY_PLAN.mostBlocks) throw new RangeError(`A day has no more than ${DAY_PLAN.mostBlocks} blocks, not ${n}.`);
  if (n === 0) return [];
  const sets = 1 << n;
  const best = new Float64Array(sets * n).fill(-Infinity);
  const before = new Int8Array(sets * n).fill(-1);
  blocks.forEach((one, i) => {
    if (mayBegin(one, blocks, warmth)) best[(1 << i) * n + i] = one.worth;
  });
  for (let set = 1; set < sets; set++) {
    const place = count(set);
    for (let last = 0; last < n; last++) {
      const here = best[set * n + last]!;
      if (here === -Infinity) continue;
      for (let next = 0; next < n; next++) {
        if (set & (1 << next)) continue;
        const to = (set | (1 << next)) * n + next;
        const there = here + worthAt(blocks[next]!, place) - between(blocks[last]!, blocks[next]!);
        if (there <= best[to]!) continue;
        best[to] = there;
        before[to] = last;
      }
    }
  }
  return walkedBack(blocks, best, before);
}

/** What an order is worth; see inBestOrder. -Infinity where it breaks what is never broken. */
export function worthOfOrder(blocks: readonly Wanted[], warmth: Warmth): number {
  const [first] = blocks;
  if (first && !mayBegin(first, blocks, warmth)) return -Infinity;
  return blocks.reduce((sum, one, i) => sum + worthAt(one, i) - (i > 0 ? between(blocks[i - 1]!, one) : 0), 0);
}

/** Whether the hand is warm enough for a block at the day's beginning. */
function mayBegin(one: Wanted, all: readonly Wanted[], warmth: Warmth): boolean {
  const before = warmth.isCold ? DAY_PLAN.beforeWideCold : DAY_PLAN.beforeWide;
  return !one.isWide || warmth.isWarm || warmFor(all, warmth) >= before;
}

function worthAt({ worth }: Wanted, place: number): number {
  return worth * DAY_PLAN.later ** place;
}

function between(a: Wanted, b: Wanted): number {
  return a.passageId !== null && a.passageId === b.passageId ? DAY_PLAN.inARow : 0;
}

function count(set: number): number {
  let bits = 0;
  for (let rest = set; rest > 0; rest &= rest - 1) bits++;
  return bits;
}

function walkedBack(blocks: readonly Wanted[], best: Float64Array, before: Int8Array): readonly Wanted[] {
  const n = blocks.length;
  let set = (1 << n) - 1;
  let last = 0;
  for (let i = 1; i < n; i++) if (best[set * n + i]! > best[set * n + last]!) last = i;
  const order: Wanted[] = [];
  while (last >= 0) {
    order.push(blocks[last]!);
    const previous = before[set * n + last]!;
    set &= ~(1 << last);
    last = previous;
  }
  return order.toReversed();
}
