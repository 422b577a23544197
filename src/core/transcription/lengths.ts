import { TRANSCRIPTION } from "../physics";
import { beats, compare, subtract, toNumber, type Beats } from "../time/beats";
import type { Cell } from "./grid";

/** A key whose written length is wanted. */
export interface Unmeasured {
  readonly at: Beats;
  /** Quarter notes at which it was let go, on the same count. */
  readonly ends: number;
}

export interface Measured {
  readonly length: Beats;
  /** Another length that would be nearly as good; null where there is no doubt. */
  readonly otherwise: Beats | null;
}

/** Plain values that a length is taken for where it ends nowhere in particular, in quarter notes. */
const PLAIN = ["1/8", "1/4", "1/2", "3/4", "1", "3/2", "2", "3", "4", "6", "8"].map((value) => beats(value));

/**
 * How long a key is written. Where it is let go exactly on the grid it lasts until there. Where it is not, it lasts until the
 * onset of its hand whose distance is most like what was held, if one is alike; else it has the plain value most like it: a
 * finger leaves early where nothing hangs on it, and late where notes are bound.
 * @param onsets of the same hand, in order
 * @param spread quarter notes by which an end lies off its place where it is exact
 */
export function measuredBy(
  { at, ends }: Unmeasured,
  onsets: readonly Beats[],
  cells: readonly Cell[],
  spread: number,
): Measured {
  const exact = onGrid(at, ends, cells, spread);
  if (exact) return { length: exact, otherwise: null };
  const held = Math.max(0.02, ends - toNumber(at));
  const off = (length: Beats): number => Math.abs(Math.log(toNumber(length) / held));
  const next = onsets
    .filter((onset) => compare(onset, at) > 0)
    .slice(0, MOST_AHEAD)
    .map((onset) => subtract(onset, at));
  const cost = (length: Beats, isOnset: boolean): number => off(length) + (isOnset ? 0 : TRANSCRIPTION.endsNowhere);
  const ways = [
    ...next.map((one) => [one, cost(one, true)] as const),
    ...PLAIN.map((one) => [one, cost(one, false)] as const),
  ];
  // A detached note before the next of its hand is written up to it, if it is held for a good part of the way.
  const [first] = next;
  if (first !== undefined && held < toNumber(first) && held > TRANSCRIPTION.heldEnough * toNumber(first))
    ways.push([first, TRANSCRIPTION.endsNowhere / 2] as const);
  ways.sort((a, b) => a[1] - b[1]);
  const [best, second] = [ways[0]!, ways.find(([length]) => length !== ways[0]![0])];
  const isDoubtful = second !== undefined && second[1] - best[1] < TRANSCRIPTION.doubtfulLength;
  return { length: best[0], otherwise: isDoubtful ? second[0] : null };
}

/** Onsets of the hand ahead up to which a key may be held. */
const MOST_AHEAD = 24;

/** Length up to the place of the grid at which a key is let go; null where that is none. The coarsest place of all that are near. */
function onGrid(at: Beats, ends: number, cells: readonly Cell[], spread: number): Beats | null {
  const within = cells.findLast(({ from }) => from <= ends + spread) ?? { from: 0, length: 1, parts: 1 };
  const begun = cells.findLast(({ from }) => from <= toNumber(at) + 1e-9) ?? within;
  // A place of the stretch in which it began, where that is divided by nothing that this one is not.
  const plain = PLAIN_PARTS.map(evenly);
  const others = [within.parts, begun.parts].some((parts) => parts % 5 === 0 || parts % 7 === 0)
    ? []
    : THIRDS.map(evenly);
  for (const cell of [...plain, within, ...(mayHold(within, begun) ? [begun] : []), ...others]) {
    const part = Math.round(((ends - cell.from) * cell.parts) / cell.length);
    const place = beats(cell.from * cell.parts + cell.length * part, cell.parts);
    if (Math.abs(toNumber(place) - ends) <= spread && compare(place, at) > 0) return subtract(place, at);
  }
  return null;
}

const PLAIN_PARTS = [1, 2, 4];
const THIRDS = [3, 6, 8];

function evenly(parts: number): Cell {
  return { from: 0, length: 1, parts };
}

/** Whether a place of another stretch can be written in one: both are halved only, or divided by the same three, five or seven. */
function mayHold({ parts: own }: Cell, { parts: other }: Cell): boolean {
  const odd = (parts: number): number => [3, 5, 7].find((by) => parts % by === 0) ?? 1;
  return odd(own) === 1 || odd(other) === 1 || odd(own) === odd(other);
}
