import { LAG } from "../physics";
import { rankCorrelation, slopeOf, type Slope } from "./statistics";

/** Tension felt and faults made, in one bar, over some takes. */
export interface BarTried {
  readonly bar: string;
  /** 0 to 10. */
  readonly tension: number;
  /** Faults a take. */
  readonly faults: number;
}

export interface Lag {
  /** Rank correlation of the tension of a bar with the faults of the bar so many after it, from 0 on; null where it cannot be told. */
  readonly ahead: readonly (number | null)[];
  /** How many bars the hand hardens ahead of where it fails; null where none tells more than chance. */
  readonly bars: number | null;
  /** Tension a bar, along the passage: it builds up where the interval lies above nothing. */
  readonly building: Slope;
}

/**
 * How tension goes before faults: the hand hardens ahead of the place it fears.
 * @param bars in the order of the passage
 */
export function lagOf(bars: readonly BarTried[]): Lag {
  const ahead = Array.from({ length: LAG.most + 1 }, (_, lag) =>
    rankCorrelation(
      bars.slice(0, Math.max(0, bars.length - lag)).map(({ tension }) => tension),
      bars.slice(lag).map(({ faults }) => faults),
    ),
  );
  const best = ahead.reduce<number>((at, value, lag) => ((value ?? -1) > (ahead[at] ?? -1) ? lag : at), 0);
  return {
    ahead,
    bars: (ahead[best] ?? 0) >= LAG.least ? best : null,
    building: slopeOf(bars.map(({ tension }, i) => [i, tension])),
  };
}
