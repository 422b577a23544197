import { PROGRESS } from "../physics";
import { daysBetween, type Day } from "../time/days";
import { breakingOf, type Tried } from "./breaking";
import { slopeOf, type Slope } from "./statistics";

/** A take on the day that it was played. */
export interface TriedOn extends Tried {
  readonly day: Day;
}

export type Progress =
  /** Not long enough, or on too few days, for anything to be said. */
  | { readonly kind: "too soon"; readonly days: number; readonly practiceDays: number }
  | {
      readonly kind: "told";
      readonly improves: boolean;
      /** Quarter notes a minute, a week, of the tempo at which it breaks; null where that is not known on enough days. */
      readonly breaking: Slope | null;
      /** Share of clean takes, a week. */
      readonly clean: Slope;
    };

/**
 * Whether it improves over practice days: the robust slope (Theil and Sen) of the share of clean takes, and of the tempo at
 * which it breaks over the takes of some days, each with its interval (Sen, J. American Statistical Association 63, 1968). It
 * improves where either interval lies above nothing; after two weeks and some practice days without that, it does not.
 */
export function progressOf(takes: readonly TriedOn[]): Progress {
  const days = [...new Set(takes.map(({ day }) => day))].sort();
  const span = days.length === 0 ? 0 : daysBetween(days[0]!, days.at(-1)!);
  if (span < PROGRESS.days || days.length < PROGRESS.practiceDays)
    return { kind: "too soon", days: span, practiceDays: days.length };
  const at = (day: Day): number => daysBetween(days[0]!, day) / 7;
  const shares = days.map((day): [number, number] => {
    const own = takes.filter((take) => take.day === day);
    return [at(day), own.filter(({ clean }) => clean).length / own.length];
  });
  const tempi = days.flatMap((day, i): [number, number][] => {
    const about = days.slice(Math.max(0, i - PROGRESS.daysTogether + 1), i + 1);
    const breaking = breakingOf(takes.filter((take) => about.includes(take.day)));
    return breaking.kind === "found" ? [[at(day), breaking.tempo]] : [];
  });
  const clean = slopeOf(shares);
  const breaking = tempi.length >= PROGRESS.practiceDays ? slopeOf(tempi) : null;
  const rises = (slope: Slope | null): boolean => slope !== null && (slope.rises || slope.interval[0] > 0);
  return { kind: "told", improves: rises(clean) || rises(breaking), breaking, clean };
}

/** Progress in a sentence; null where it is too soon to say. */
export function sayProgress(progress: Progress): string | null {
  if (progress.kind === "too soon") return null;
  const { improves, breaking, clean } = progress;
  if (!improves)
    return "Two weeks without improvement: change the fingering; what the others cost to learn stands side by side.";
  if (breaking && (breaking.rises || breaking.interval[0] > 0))
    return `It improves: the tempo at which it breaks rises by ${Math.max(1, Math.round(breaking.slope))} a week.`;
  return `It improves: ${Math.max(1, Math.round(100 * clean.slope))} more of 100 takes are clean each week.`;
}
