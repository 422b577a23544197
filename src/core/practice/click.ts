import { clickAt } from "./ladder";

/** What of a click is heard. */
export interface ClickAsked {
  /** Quarter notes a minute. */
  readonly tempo: number;
  /** Clicks of a bar, 1 or more. */
  readonly bar: number;
  /** Softer clicks into which each is divided: 1 for none. */
  readonly parts: number;
}

/** One click, in quarter notes from where its bar begins. */
export interface ClickHeard {
  readonly at: number;
  /** Whether a bar begins with it, or it is one of the softer ones between. */
  readonly weight: "bar" | "beat" | "part";
}

/** One bar of a click. The next begins where it ends, however it is asked for: so the click has no seam. */
export interface ClickBar {
  readonly clicks: readonly ClickHeard[];
  /** In quarter notes. */
  readonly length: number;
}

/**
 * A bar of the click as it is asked for when the bar begins: as many quarter notes to a click as the clockwork can follow, see
 * clickAt. A silent bar is as long and has none.
 * @param place bars since the one last heard: 0 for one that is heard, below it while bars are counted in
 */
export function clickBar({ tempo, bar, parts }: ClickAsked, place: number): ClickBar {
  const { quarters } = clickAt(tempo);
  const length = bar * quarters;
  if (place > 0) return { clicks: [], length };
  const clicks = Array.from({ length: bar * parts }, (_, i): ClickHeard => {
    return { at: (i * quarters) / parts, weight: i === 0 ? "bar" : i % parts === 0 ? "beat" : "part" };
  });
  return { clicks, length };
}

/** The place of the bar after one: heard again after as many silent bars as are asked for now. @param silent 0 or more */
export function placeAfter(place: number, silent: number): number {
  return place >= 0 && place >= silent ? 0 : place + 1;
}
