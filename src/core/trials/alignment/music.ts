import type { OnsetExpected } from "../expected";
import { AskingByKey } from "./asking";

/** Onsets that are looked at to tell whether two places have the same music ahead: a power of two, well above REACH. A choice. */
export const AHEAD = 32;
/** Times between onsets that differ by less are the same, in quarter notes. */
const SAME_TIME = 1e-6;

/** The music of a passage as it is looked up. */
export interface Music {
  /**
   * What lies ahead of each onset, as a number: places with the same number ask for the same keys in the same times, for AHEAD
   * onsets or to the end.
   */
  readonly ahead: ArrayLike<number>;
  readonly asking: AskingByKey;
}

/** @param ahead what lies ahead of each onset; without it, as it is heard: with a number of its own each is looked at for itself */
export function musicOf(onsets: readonly OnsetExpected[], ahead: ArrayLike<number> = musicAhead(onsets)): Music {
  return { ahead, asking: new AskingByKey(onsets, ahead) };
}

/** By doubling: the music of 2n onsets is that of n, and of n from there. In short music hardly any is the same so far. */
function musicAhead(onsets: readonly OnsetExpected[]): ArrayLike<number> {
  if (onsets.length <= 2 * AHEAD) return onsets.map((_, i) => i);
  let numbers = numbered(onsets.map((onset, i) => asked(onset, onsets[i + 1])));
  for (let many = 1; many < AHEAD; many *= 2) {
    const half = numbers;
    numbers = numbered(Array.from(half, (own, i) => own * (half.length + 1) + (half[i + many] ?? half.length)));
  }
  return numbers;
}

/** What an onset asks for, and how long until the next. */
function asked({ at, notes, ornamented = [] }: OnsetExpected, next: OnsetExpected | undefined): string {
  const until = next ? Math.round((next.at - at) / SAME_TIME) : "end";
  return `${notes.map(({ key }) => key).join(" ")}/${ornamented.join(" ")}/${until}`;
}

function numbered(things: readonly (string | number)[]): Int32Array {
  const known = new Map<string | number, number>();
  return Int32Array.from(things, (thing) => {
    const number = known.get(thing) ?? known.size;
    known.set(thing, number);
    return number;
  });
}
