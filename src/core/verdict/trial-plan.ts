import { DECIDING, TRIAL_TEMPI } from "../physics";
import { dayAfter, daysBetween, type Day } from "../time/days";

/** One way to play an option on a trial day. */
export interface Attempt {
  readonly kind: "slow" | "middle" | "snips" | "whole";
  /** Quarter notes a minute. */
  readonly tempo: number;
}

/** What is tried on one day. */
export interface TrialDay {
  readonly day: Day;
  /** Letters of the options to try, the one to begin with first. */
  readonly options: readonly string[];
  readonly attempts: readonly Attempt[];
}

/**
 * What to try from a day to the deadline, both included: one option a day in turn, two or more where the days are
 * fewer than the options, and on the last day all of them. Every day goes from slow to short snips at the target tempo,
 * for trouble may appear only there; in the second half the snips go a little beyond it. The whole passage is played at
 * the target on the last day alone.
 * @param target quarter notes a minute
 */
export function trialPlan(today: Day, deadline: Day, options: readonly string[], target: number): readonly TrialDay[] {
  const days = Math.min(DECIDING.daysWritten, Math.max(0, daysBetween(today, deadline)) + 1);
  if (options.length === 0) return [];
  const aDay = Math.ceil(options.length / Math.max(1, days - 1));
  return Array.from({ length: days }, (_, i): TrialDay => {
    const isLast = i === days - 1;
    return {
      day: dayAfter(today, i),
      options: turned(options, i * aDay).slice(0, isLast ? options.length : aDay),
      attempts: attemptsOn(i, days, target),
    };
  });
}

function attemptsOn(place: number, days: number, target: number): readonly Attempt[] {
  const at = (share: number): number => Math.round(target * share);
  const isLate = place >= days / 2;
  const attempts: Attempt[] = [
    { kind: "slow", tempo: at(TRIAL_TEMPI.slow) },
    { kind: "middle", tempo: at(TRIAL_TEMPI.middle) },
    { kind: "snips", tempo: isLate ? at(TRIAL_TEMPI.beyond) : Math.round(target) },
  ];
  return place === days - 1 ? [...attempts, { kind: "whole", tempo: Math.round(target) }] : attempts;
}

/** The options beginning with another one each day. */
function turned(options: readonly string[], by: number): readonly string[] {
  const from = by % options.length;
  return [...options.slice(from), ...options.slice(0, from)];
}
