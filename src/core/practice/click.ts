import { clickAt } from "./ladder";

/** What of a click is heard. */
export interface ClickAsked {
  /** Quarter notes a minute. */
  readonly tempo: number;
  /** Clicks of a bar, 1 or more. */
  readonly bar: number;
  /** Softer clicks into which each is divided: 1 for none. */
  readonly parts: number;
  /** Bars without a click after each bar with one. */
  readonly silent: number;
  /** Bars that are counted in before anything is silent. */
  readonly countIn: number;
}

/** One click, in quarter notes from the beginning. */
interface ClickHeard {
  readonly at: number;
  /** Whether a bar begins with it, or it is one of the softer ones between. */
  readonly weight: "bar" | "beat" | "part";
}

/** A click that goes round: the count-in once, then the cycle again and again. Quarter notes. */
export interface ClickRound {
  readonly clicks: readonly ClickHeard[];
  /** Where the cycle begins, after the count-in, and where it begins again. */
  readonly start: number;
  readonly end: number;
}

/** The click at a tempo: as many quarter notes to one as the clockwork can follow, see clickAt. Divided clicks only in bars that are heard. */
export function clickRound({ tempo, bar, parts, silent, countIn }: ClickAsked): ClickRound {
  const { quarters } = clickAt(tempo);
  const length = bar * quarters;
  const barAt = (from: number): readonly ClickHeard[] =>
    Array.from({ length: bar * parts }, (_, i) => ({
      at: from + (i * quarters) / parts,
      weight: i === 0 ? "bar" : i % parts === 0 ? "beat" : "part",
    }));
  const counted = Array.from({ length: countIn }, (_, i) => barAt(i * length)).flat();
  const start = countIn * length;
  return { clicks: [...counted, ...barAt(start)], start, end: start + (1 + silent) * length };
}
