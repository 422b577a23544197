import { beats, type Beats } from "../time/beats";
import { TRANSCRIPTION } from "../physics";

/** A stretch of time that is divided evenly. */
export interface Cell {
  /** Quarter notes, both whole. */
  readonly from: number;
  readonly length: number;
  readonly parts: number;
}

/** Where each moment stands once it is written, and how even that is. */
export interface Gridded {
  /** One for each moment given. */
  readonly places: readonly Beats[];
  /** The next best place of each, where it is nearly as good; null where there is no doubt. */
  readonly otherwise: readonly (Beats | null)[];
  readonly cells: readonly Cell[];
  /** Mean cost of a moment: 0 where all stand on quarter notes exactly. */
  readonly cost: number;
}

/** Ways to divide so many quarter notes, each with what it costs where it is needed: what is rare is dear. */
const DIVISIONS: Readonly<Record<number, readonly (readonly [parts: number, cost: number])[]>> = {
  1: [
    [1, 0],
    [2, 0.6],
    [4, 1.4],
    [3, 2.2],
    [6, 3.2],
    [8, 3.4],
    [12, 5],
    [5, 6],
    [7, 7],
    [10, 8],
    [14, 9],
  ],
  2: [
    [3, 4.5],
    [5, 7],
    [7, 8],
    [9, 9],
  ],
  4: [
    [3, 6.5],
    [5, 8],
  ],
};

/**
 * Puts moments on a grid. Every quarter note, or two or four together, is divided in the one way that costs least: how far
 * its moments lie from the grid, squared against what is usual, and what the division itself costs. The best chain of such
 * stretches is found by dynamic programming over the quarter notes, so that no stretch is divided without regard to the next.
 * @param moments quarter notes, in order, each apart from the last
 * @param spread quarter notes by which a moment lies off its place, usually
 * @param finest the shortest plain value wanted, 8 to 32; tuplets of shorter ones are left out too
 */
export function griddedAt(moments: readonly number[], spread: number, finest: number): Gridded {
  if (moments.length === 0) return { places: [], otherwise: [], cells: [], cost: 0 };
  const quarters = Math.ceil(moments.at(-1)! + 1e-9) + 1;
  const inOrder = new Moments(moments);
  const best = new Float64Array(quarters + 1).fill(Infinity);
  const cellTo: (Cell | null)[] = Array.from({ length: quarters + 1 }, () => null);
  best[0] = 0;
  for (let from = 0; from < quarters; from++)
    for (const [lengthText, ways] of Object.entries(DIVISIONS)) {
      const length = Number(lengthText);
      if (from + length > quarters) continue;
      for (const [parts, own] of ways) {
        if (parts / length > finestParts(parts, finest)) continue;
        const cell = { from, length, parts };
        const total = best[from]! + inOrder.costOf(cell, own, spread);
        if (total < best[from + length]! - 1e-12) {
          best[from + length] = total;
          cellTo[from + length] = cell;
        }
      }
    }
  const cells: Cell[] = [];
  for (let at = quarters; at > 0; at -= cells.at(-1)!.length) cells.push(cellTo[at]!);
  cells.reverse();
  return { ...inOrder.placed(cells, spread), cells, cost: best[quarters]! / moments.length };
}

/** Parts of a quarter note at most: of halves, of thirds, and of fives and sevens, which the other hand may halve. */
function finestParts(parts: number, finest: number): number {
  if (parts % 5 === 0 || parts % 7 === 0) return (finest * 7) / 16;
  return parts % 3 === 0 ? (finest * 3) / 8 : finest / 4;
}

/** The grid's own place for a moment in a cell. */
function placeIn({ from, length, parts }: Cell, part: number): Beats {
  return beats(from * parts + length * part, parts);
}

class Moments {
  constructor(private readonly all: readonly number[]) {}

  /** Indices of the moments of a cell: from its start to just before its end. */
  private *of({ from, length }: Cell): Generator<number> {
    let [low, high] = [0, this.all.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if (this.all[middle]! < from - EDGE) low = middle + 1;
      else high = middle;
    }
    for (let i = low; i < this.all.length && this.all[i]! < from + length - EDGE; i++) yield i;
  }

  costOf(cell: Cell, own: number, spread: number): number {
    let [sum, last, isEmpty] = [0, -1, true];
    for (const i of this.of(cell)) {
      const place = ((this.all[i]! - cell.from) * cell.parts) / cell.length;
      const part = Math.max(0, Math.round(place));
      const off = ((place - part) * cell.length) / cell.parts;
      sum += (off / spread) ** 2 / 2;
      if (part === last && !isEmpty) sum += TRANSCRIPTION.sameMoment;
      last = part;
      isEmpty = false;
    }
    return isEmpty ? (cell.parts === 1 ? 0 : Infinity) : sum + own;
  }

  placed(cells: readonly Cell[], spread: number): Pick<Gridded, "places" | "otherwise"> {
    const places: Beats[] = [];
    const otherwise: (Beats | null)[] = [];
    for (const cell of cells)
      for (const i of this.of(cell)) {
        const place = ((this.all[i]! - cell.from) * cell.parts) / cell.length;
        const part = Math.max(0, Math.round(place));
        places[i] = placeIn(cell, part);
        const off = ((place - part) * cell.length) / cell.parts;
        const other = part + (off >= 0 ? 1 : -1);
        const isDoubtful = Math.abs(off) > TRANSCRIPTION.doubtfulOff * (cell.length / cell.parts) && spread > EXACT;
        otherwise[i] = isDoubtful && other >= 0 ? placeIn(cell, other) : null;
      }
    return { places, otherwise };
  }
}

/** A moment so little before a quarter note belongs to it already: nobody writes anything shorter. */
const EDGE = 1 / 24;
/** Below this spread moments are those of a score, written out exactly. */
const EXACT = 0.02;
