import { DAY_PLAN, DOSE } from "../../physics";
import { SIDES } from "../../hand/finger";
import type { Dose } from "./dose";
import type { Wanted } from "./wanted";

/** What a choice of blocks must never break. */
export interface Bounds {
  /** Minutes of the day, all in. */
  readonly minutes: number;
  readonly isCold: boolean;
  /** Whether the hands are warm already: a day that is planned anew after its warm-up has no other. */
  readonly isWarm: boolean;
  /** mm times minutes that each hand has left. */
  readonly left: Dose;
  /** Minutes of playing without a pause that the player's own limit leaves; null where they set none. */
  readonly playing: number | null;
}

/** How the hands come to the day. */
export type Warmth = Pick<Bounds, "isCold" | "isWarm">;

/** Minutes of a day with some blocks: the warm-up, a check before and after each block, and a rest after every few. */
export function minutesWith(blocks: readonly Pick<Wanted, "minutes" | "isWide">[], warmth: Warmth): number {
  const own = blocks.reduce((sum, { minutes }) => sum + minutes, 0);
  const rests = Math.max(0, Math.ceil(blocks.length / DAY_PLAN.restAfter) - 1);
  return warmFor(blocks, warmth) + DAY_PLAN.check * (blocks.length + 1) + own + DAY_PLAN.rest * rests;
}

/** Minutes to warm up: longer where every block is wide, for then a wide one is the first. */
export function warmFor(blocks: readonly Pick<Wanted, "isWide">[], { isCold, isWarm }: Warmth): number {
  if (isWarm) return 0;
  const isAllWide = blocks.length > 0 && blocks.every((one) => one.isWide);
  if (isAllWide) return isCold ? DAY_PLAN.beforeWideCold : DAY_PLAN.beforeWide;
  return isCold ? DAY_PLAN.warmCold : DAY_PLAN.warm;
}

/** Minutes of playing without a pause in some blocks and their warm-up: keys are down for a share of practice. */
export function playedWith(blocks: readonly Pick<Wanted, "minutes" | "isWide">[], warmth: Warmth): number {
  return DOSE.playing * blocks.reduce((sum, { minutes }) => sum + minutes, warmFor(blocks, warmth));
}

/**
 * The blocks that are worth most together. What is never broken: they fit into the day with warm-up, checks and rests; no
 * more is played than the player's own limit leaves; no hand opens wide for more than it has left; a second block of a passage only with its first; no more than
 * DAY_PLAN.mostBlocks. Exact, by branch and bound over the blocks in the order of their worth by the minute, the bound being
 * what would still be worth most if blocks could be cut (Dantzig, Operations Research 5(2), 1957). A block more never makes a
 * day shorter, so what does not fit is not added to. Where two choices are worth the same, the one found first.
 */
export function chosenBlocks(
  wanted: readonly Wanted[],
  { minutes, left, playing, ...warmth }: Bounds,
): readonly Wanted[] {
  const rate = ({ worth, minutes: own }: Wanted): number => worth / (own + DAY_PLAN.check);
  const inOrder = [...wanted].sort((a, b) => rate(b) - rate(a) || a.id.localeCompare(b.id));
  let best: { readonly worth: number; readonly blocks: readonly Wanted[] } = { worth: 0, blocks: [] };
  const taken: Wanted[] = [];

  const fits = (): boolean =>
    minutesWith(taken, warmth) <= minutes &&
    playedWith(taken, warmth) <= (playing ?? Infinity) + NEAR &&
    SIDES.every((side) => taken.reduce((sum, { dose }) => sum + dose[side], 0) <= left[side] + NEAR);
  const bound = (from: number, room: number, count: number): number => {
    let [sum, free, more] = [0, room, count];
    for (let i = from; i < inOrder.length && free > 0 && more > 0; i++, more--) {
      const one = inOrder[i]!;
      const needs = one.minutes + DAY_PLAN.check;
      sum += one.worth * Math.min(1, free / needs);
      free -= needs;
    }
    return sum;
  };
  const search = (i: number, worth: number): void => {
    if (worth > best.worth + NEAR) best = { worth, blocks: [...taken] };
    if (i >= inOrder.length || taken.length >= DAY_PLAN.mostBlocks) return;
    // A block that is not wide may still shorten the warm-up.
    const room = minutes - minutesWith(taken, warmth) + warmFor(taken, warmth) - warmFor([], warmth);
    if (worth + bound(i, room, DAY_PLAN.mostBlocks - taken.length) <= best.worth + NEAR) return;
    const one = inOrder[i]!;
    if (one.after === null || taken.some(({ id }) => id === one.after)) {
      taken.push(one);
      if (fits()) search(i + 1, worth + one.worth);
      taken.pop();
    }
    search(i + 1, worth);
  };
  search(0, 0);
  return best.blocks;
}

const NEAR = 1e-9;
