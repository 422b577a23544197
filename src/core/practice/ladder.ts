import { CLOCKWORK, LADDER } from "../physics";

/** How far one notch goes: to the next figure of an old clockwork, by a share, or by five beats. */
export const NOTCHES = ["clockwork", "share", "five"] as const;
export type Notch = (typeof NOTCHES)[number];

/** Where a ladder stands. */
export interface Ladder {
  /** Quarter notes a minute. */
  readonly tempo: number;
  /** Takes in a row that were not clean and easy. */
  readonly misses: number;
}

/** What is heard at a tempo: the figure of the click, and how many quarter notes come to one. */
export interface Click {
  /** Clicks a minute, within the range of the clockwork wherever that can be. */
  readonly figure: number;
  readonly quarters: number;
}

const [SLOWEST, FASTEST] = [CLOCKWORK[0]!, CLOCKWORK.at(-1)!];

/**
 * The click for a tempo: a quarter to a click where the clockwork has the figure, else more or fewer, so that the notes go
 * on through the change without a seam at the ear.
 */
export function clickAt(tempo: number): Click {
  const clicks = LADDER.quartersToAClick.map((quarters) => ({ figure: tempo / quarters, quarters }));
  return clicks.find(({ figure }) => figure >= SLOWEST && figure <= FASTEST) ?? clicks[0]!;
}

/**
 * The tempo a notch on, or back. A notch of the clockwork or of five beats is one of the click that is heard there, so it is
 * scaled with the notes to a click; past either end of the clockwork the click changes and the next figure is taken.
 * @param tempo quarter notes a minute
 */
export function notched(tempo: number, by: 1 | -1, notch: Notch): number {
  if (notch === "share") return tempo * (1 + LADDER.share) ** by;
  const { figure, quarters } = clickAt(tempo);
  if (notch === "five") return Math.max(quarters, (figure + by * LADDER.fiveBeats) * quarters);
  const next =
    by === 1 ? CLOCKWORK.find((one) => one > figure + NEAR) : CLOCKWORK.findLast((one) => one < figure - NEAR);
  if (next !== undefined) return next * quarters;
  // Past the end of the clockwork: the same tempo with another click, and a figure from there.
  const other = LADDER.quartersToAClick.find((one) => isOnClockwork(tempo / one) && one !== quarters);
  if (other === undefined) return figure * quarters;
  const from = tempo / other;
  const beyond = by === 1 ? CLOCKWORK.find((one) => one > from + NEAR) : CLOCKWORK.findLast((one) => one < from - NEAR);
  return (beyond ?? from) * other;
}

/** Clicks a minute that are as good as equal. */
const NEAR = 1e-6;

function isOnClockwork(figure: number): boolean {
  return figure >= SLOWEST && figure <= FASTEST;
}

/** The ladder after a take: a notch up where it was clean and easy both, a notch down after two in a row that were not. */
export function afterTake(
  ladder: Ladder,
  take: { readonly clean: boolean; readonly easy: boolean },
  notch: Notch,
): Ladder {
  if (take.clean && take.easy) return { tempo: notched(ladder.tempo, 1, notch), misses: 0 };
  const misses = ladder.misses + 1;
  return misses < LADDER.missesDown ? { ...ladder, misses } : { tempo: notched(ladder.tempo, -1, notch), misses: 0 };
}

/** A way to a tempo by a day. */
export interface LadderPlan {
  /** Quarter notes a minute for each practice day, the last being the target or what can be reached. */
  readonly days: readonly number[];
  /** Whether the target is reached at the player's own gain. */
  readonly reaches: boolean;
  /** What there is to do where it is not: the tempo that can be reached, and practice days that the target would need. */
  readonly instead: { readonly tempo: number; readonly days: number } | null;
}

/**
 * The tempi of the days to a date, rising evenly in notches of the ear, no faster than the player's own gain.
 * @param from tempo that is clean and easy now; @param to the target
 * @param days practice days, 1 or more
 * @param gain quarter notes a minute that the player gains a practice day, 0 or more
 */
export function ladderPlan(from: number, to: number, days: number, gain: number): LadderPlan {
  if (to <= from) return { days: Array.from({ length: days }, () => to), reaches: true, instead: null };
  const reached = Math.min(to, from + gain * days);
  const tempi = Array.from({ length: days }, (_, i) => from * (reached / from) ** ((i + 1) / days));
  const reaches = reached >= to - NEAR;
  return {
    days: tempi,
    reaches,
    instead: reaches ? null : { tempo: reached, days: gain > 0 ? Math.ceil((to - from) / gain) : Infinity },
  };
}
