import { DAY_LIMIT } from "../physics";

/** How much was played in a day, and what it is to be at most. */
export interface DayPlayed {
  /** Minutes of takes. */
  readonly played: number;
  /** Minutes that the player allows for a day; null where they set none. */
  readonly own: number | null;
  /** Minutes played when they stopped for a sign of harm that day; null where they did not. */
  readonly stoppedAt: number | null;
}

/**
 * Minutes to be played at most that day; null where nothing says so. The player's own limit is never raised. Stopping for a
 * sign of harm lowers it for the rest of the day: to half of it, and to nothing more than was played by then where half is
 * gone already or there is no limit. Lifting the stop does not bring it back before the next day.
 */
export function limitOf({ own, stoppedAt }: DayPlayed): number | null {
  if (stoppedAt === null) return own;
  return own === null ? stoppedAt : Math.min(own, Math.max(stoppedAt, DAY_LIMIT.afterStop * own));
}

/** The day in one or two plain sentences. */
export function sayDay(day: DayPlayed): string {
  const limit = limitOf(day);
  const played = `${minutes(day.played)} of takes today`;
  if (limit === null) return `${played}.`;
  const isFull = day.played >= limit;
  if (day.stoppedAt === null)
    return `${played}, of your own ${minutes(limit)}${isFull ? ": that is it for today" : ""}.`;
  return `${played}. You stopped today, so the limit is ${minutes(limit)}${isFull ? ": nothing more today" : ""}.`;
}

function minutes(of: number): string {
  const whole = Math.round(of);
  return `${whole} ${whole === 1 ? "minute" : "minutes"}`;
}
