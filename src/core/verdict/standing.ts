import { daysBetween, type Day } from "../time/days";

/** What was decided about a passage, event by event; the newest counts, none is ever changed. */
export const VERDICT_KINDS = ["undecided", "taken", "reviewed", "reopened", "known"] as const;
type VerdictKind = (typeof VERDICT_KINDS)[number];

export interface VerdictEvent {
  readonly kind: VerdictKind;
  /** The option taken, or known: in the fingers now. */
  readonly fingeringId: string | null;
  /** The day by which to decide; of "undecided" alone. */
  readonly decideOn: Day | null;
  /** Practice days after which to look at it again, if any; of "taken" and "reviewed". */
  readonly reviewAfter: number | null;
  /** The day it was written. */
  readonly on: Day;
}

/** How a passage stands. */
export type Standing =
  | { readonly state: "open" }
  | {
      readonly state: "undecided";
      /** The day on which it was first left open. */
      readonly since: Day;
      readonly decideOn: Day;
      readonly daysLeft: number;
    }
  | {
      readonly state: "taken";
      readonly fingeringId: string;
      /** Practice days since it was taken or last reviewed. */
      readonly practised: number;
      /** Practice days until the review, 0 when it is due; null where none is wanted. */
      readonly reviewIn: number | null;
    };

/**
 * Where a passage stands by what was said of it and practised.
 * @param events oldest first
 * @param practised the days on which the passage was practised, in any order; the day of the verdict itself counts
 */
export function standingOf(events: readonly VerdictEvent[], practised: readonly Day[], today: Day): Standing {
  const last = events.findLast((e) => e.kind !== "known" && e.kind !== "reviewed");
  if (last?.kind === "undecided" && last.decideOn !== null)
    return {
      state: "undecided",
      since: leftOpenOn(events),
      decideOn: last.decideOn,
      daysLeft: daysBetween(today, last.decideOn),
    };
  if (last?.kind !== "taken" || last.fingeringId === null) return { state: "open" };
  const review = events.findLast((e) => e.kind === "taken" || e.kind === "reviewed")!;
  const days = new Set(practised.filter((d) => (review.kind === "reviewed" ? d > review.on : d >= review.on))).size;
  const reviewIn = review.reviewAfter === null ? null : Math.max(0, review.reviewAfter - days);
  return { state: "taken", fingeringId: last.fingeringId, practised: days, reviewIn };
}

/** When it was first left open, however often the day was moved since. */
function leftOpenOn(events: readonly VerdictEvent[]): Day {
  const said = events.filter(({ kind }) => kind !== "known" && kind !== "reviewed");
  const before = said.findLastIndex(({ kind }) => kind !== "undecided");
  return said[before + 1]!.on;
}

/** The option in the fingers now: the last one known or taken, whichever was said last; null where none was. */
export function inTheFingers(events: readonly VerdictEvent[]): string | null {
  return events.findLast((e) => e.kind === "known" || e.kind === "taken")?.fingeringId ?? null;
}

/** Whether a passage wants something of the player now: a verdict on its last day or after, or a review. */
export function isDue(standing: Standing): boolean {
  if (standing.state === "undecided") return standing.daysLeft <= 0;
  return standing.state === "taken" && standing.reviewIn === 0;
}
