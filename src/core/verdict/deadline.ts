import { DECIDING } from "../physics";
import { dayAfter, daysBetween, type Day } from "../time/days";

/**
 * The day by which to decide: a tenth of the days left to the concert from now, at least two days and at most ten, and
 * never after the day before it; a week where there is no concert to come.
 */
export function deadlineFor(today: Day, concert: Day | null): Day {
  const left = concert === null ? 0 : daysBetween(today, concert);
  if (left <= 0) return dayAfter(today, DECIDING.withoutConcert);
  const days = Math.min(DECIDING.most, Math.max(DECIDING.least, Math.round(left * DECIDING.share)));
  return dayAfter(today, Math.min(days, left - 1));
}
