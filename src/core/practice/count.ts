import { COUNT } from "../physics";

/** A count of good plays: each bad one gives one back, but never below none. */
export function counted(count: number, isGood: boolean): number {
  return isGood ? count + 1 : Math.max(0, count - 1);
}

/** How many plays it will take to count to a number, as known before it is begun. */
export interface CountForecast {
  /** As likely as not that it takes no more than so many. */
  readonly middle: number;
  /** Probably no more than so many; see COUNT.probable. */
  readonly most: number;
}

/**
 * The forecast for a count, exactly: the chances of every standing of the count after each play, each play being good with
 * the player's own rate. Without the giving back it is the negative binomial distribution.
 * @param wanted good plays, 1 or more
 * @param rate of good plays, 0 to 1
 * @param givesBack whether a bad play takes one away
 * @returns null where it would take more than COUNT.most plays: then it is not sensible to begin
 */
export function countForecast(wanted: number, rate: number, givesBack = true): CountForecast | null {
  let chances = new Float64Array(wanted + 1);
  chances[0] = 1;
  let middle: number | null = null;
  for (let plays = 1; plays <= COUNT.most; plays++) {
    const next = new Float64Array(wanted + 1);
    next[wanted] = chances[wanted]!;
    for (let count = 0; count < wanted; count++) {
      const here = chances[count]!;
      next[count + 1]! += here * rate;
      next[givesBack ? Math.max(0, count - 1) : count]! += here * (1 - rate);
    }
    chances = next;
    const done = chances[wanted]!;
    if (middle === null && done >= 0.5) middle = plays;
    if (done >= COUNT.probable) return { middle: middle!, most: plays };
  }
  return null;
}

/** A forecast in one sentence. @param seconds that one play takes */
export function sayForecast(forecast: CountForecast | null, wanted: number, seconds: number): string {
  if (!forecast)
    return `At your rate so far ${wanted} would hardly come together. Take it slower, shorter, or count to fewer.`;
  const minutes = Math.max(1, Math.round((forecast.middle * seconds) / 60));
  const most = Math.max(minutes, Math.round((forecast.most * seconds) / 60));
  return `${wanted} will probably take about ${forecast.middle} plays, ${minutes} ${minutes === 1 ? "minute" : "minutes"}; hardly more than ${forecast.most}, ${most} ${most === 1 ? "minute" : "minutes"}.`;
}
