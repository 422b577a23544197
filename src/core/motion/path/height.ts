import { PLAN } from "../../physics";
import type { Place } from "./place";

/**
 * mm that the wrist wants to stand over its level at each onset: lower for a thumb and rising towards the little finger where
 * there is time, the same through a run; a little higher over black keys; it sinks where a group starts and has risen where
 * it ends, within two onsets of either.
 * @param starts places of the onsets that begin a group
 */
export function heightsWanted(places: readonly Place[], starts: ReadonlySet<number>): readonly number[] {
  return places.map(({ frame: { struck, onset } }, i) => {
    if (struck.length === 0) return 0;
    const isRun =
      struck.length === 1 && Math.min(onset.gap, places[i + 1]?.frame.onset.gap ?? Infinity) < PLAN.groupQuick;
    const fingers = isRun ? 0 : struck.reduce((sum, p) => sum + PLAN.heightOfFinger[p.finger - 1]!, 0) / struck.length;
    const black = struck.filter((p) => p.black).length / struck.length;
    return fingers + black * PLAN.heightOnBlack + phase(i, places.length, starts) * PLAN.heightOfGroup;
  });
}

/** -1 where a group starts to 1 where it ends; 0 in its midst. */
function phase(at: number, count: number, starts: ReadonlySet<number>): number {
  const begins = (i: number): boolean => i === 0 || i >= count || starts.has(i);
  if (begins(at)) return -1;
  if (begins(at + 1)) return 1;
  if (begins(at - 1)) return -PLAN.groupFlank;
  return begins(at + 2) ? PLAN.groupFlank : 0;
}

/** A stretch over which the wrist stays at one height. */
export interface Frozen {
  readonly ms: number;
  /** Places of its first onset and its last. */
  readonly from: number;
  readonly to: number;
}

/** The longest stretch in which a height stays within a few mm; null where there is only one onset. */
export function longestFrozen(heights: readonly { readonly ms: number; readonly height: number }[]): Frozen | null {
  let best: Frozen | null = null;
  let from = 0;
  for (let to = 0; to < heights.length; to++) {
    const within = (): boolean => {
      const some = heights.slice(from, to + 1).map((h) => h.height);
      return Math.max(...some) - Math.min(...some) <= PLAN.frozenWithin;
    };
    while (!within()) from++;
    const ms = heights[to]!.ms - heights[from]!.ms;
    if (to > from && (best === null || ms > best.ms)) best = { ms, from, to };
  }
  return best;
}

/** How the wrist circles over a group that goes out and comes back. */
export interface Circle {
  /** Places of its first onset and its last. */
  readonly from: number;
  readonly to: number;
  /** Whether it goes out over its way back, or under it. */
  readonly way: "over" | "under";
  /** mm between the two ways, in the middle of them. */
  readonly mm: number;
}

/**
 * The circle over a group, from the area that its way encloses, sideways against height; null where it does not come back
 * by half of what it went out, or encloses nothing.
 */
export function circleOf(
  frames: readonly { readonly x: number; readonly height: number }[],
  from: number,
  to: number,
): Circle | null {
  const group = frames.slice(from, to + 1);
  if (group.length < PLAN.thereAndBack) return null;
  const x = group.map((f) => f.x - group[0]!.x);
  const far = x.reduce((most, at) => (Math.abs(at) > Math.abs(most) ? at : most), 0);
  const back = Math.abs(far) - Math.abs(x.at(-1)!);
  if (far === 0 || back < Math.abs(far) / 2) return null;
  let area = 0;
  group.forEach((f, i) => {
    const next = group[(i + 1) % group.length]!;
    area += (f.x * next.height - next.x * f.height) / 2;
  });
  const mm = Math.abs(area / far);
  // Rightwards below and back above encloses a positive area.
  return mm < PLAN.circleLeast ? null : { from, to, way: area * Math.sign(far) > 0 ? "under" : "over", mm };
}
