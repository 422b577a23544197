import { LADDER } from "../physics";
import { dayAfter, daysBetween, weekdayOf, type Day } from "../time/days";
import { breakingOf } from "../trials/breaking";
import { progressOf, type TriedOn } from "../trials/progress";
import { ladderPlan, type LadderPlan } from "./ladder";

/** A take as the ladder looks at it. */
export interface TakeOnLadder extends TriedOn {
  /** Whether the player called it easy; null where they did not say. */
  readonly easy: boolean | null;
}

/** The tempo at which a ladder begins: the fastest that was clean and easy, never past the target; else LADDER.begins of it. */
export function beginsAt(takes: readonly TakeOnLadder[], target: number): number {
  const good = takes.filter(({ clean, easy }) => clean && easy === true).map(({ tempo }) => tempo);
  return good.length === 0 ? LADDER.begins * target : Math.min(target, Math.max(...good));
}

/** How far today is sensible, from the tempo at which it breaks; null where that is not known. Quarter notes a minute. */
export function sensibleToday(takes: readonly TriedOn[]): number | null {
  const breaking = breakingOf(takes);
  return breaking.kind === "found" ? breaking.tempo * LADDER.sensible : null;
}

export interface WayAsked {
  /** Quarter notes a minute, now and at the date. */
  readonly from: number;
  readonly target: number;
  readonly today: Day;
  /** The day of the concert, or of whatever the tempo is wanted for. */
  readonly date: Day;
  /** Minutes of practice by weekday, Monday first. */
  readonly week: readonly number[];
}

export interface WayToDate extends LadderPlan {
  /** The days of practice that there are, today among them, the date not: one for each tempo of the plan. */
  readonly on: readonly Day[];
  /** Quarter notes a minute gained a practice day, and whether that is the player's own figure. */
  readonly gain: number;
  readonly isOwnGain: boolean;
}

/**
 * The notches to a date: spread over the days of practice that the week leaves until then, no faster than the player has
 * gained so far (the slope of the tempo at which it breaks, see progressOf; a starting value until that is known). null where
 * there is no day of practice left.
 */
export function wayToDate(takes: readonly TriedOn[], { from, target, today, date, week }: WayAsked): WayToDate | null {
  const on = Array.from({ length: Math.max(0, daysBetween(today, date)) }, (_, i) => dayAfter(today, i)).filter(
    (day) => (week[weekdayOf(day)] ?? 0) > 0,
  );
  if (on.length === 0) return null;
  const progress = progressOf(takes);
  const own = progress.kind === "told" && progress.breaking ? progress.breaking.slope : null;
  const aWeek = Math.max(1, week.filter((minutes) => minutes > 0).length);
  const gain = own === null ? LADDER.usualGain * target : Math.max(0, own / aWeek);
  return { ...ladderPlan(from, target, on.length, gain), on, gain, isOwnGain: own !== null };
}
