import type { Lattice } from "./lattice";
import type { PathFound } from "./search";
import { BY_FINGER, type Terms } from "./terms";
import { fingerAt, type Place, type Tie } from "./ties";

/** Two strokes of a tie that one finger had better play. */
interface Pair {
  readonly tie: Tie;
  readonly one: Place;
  readonly other: Place;
  /** What it costs where two fingers do: Infinity for a bond. */
  readonly worth: number;
}

/** What is moved for one pair. */
interface Moved {
  readonly pair: Pair;
  /** Strain added where a finger, 1 to 5, plays the one stroke, and taken away where it plays the other. */
  readonly by: Float64Array;
  /** How much was moved last, and for which fingers: from the one it was found with on `one` to that on `other`. */
  readonly step: number;
  readonly from: number;
  readonly to: number;
}

/** Strain that is moved at first, at most, and the part of what a pair is worth. */
const FIRST = { most: 4, ofWorth: 1 / 8 } as const;
const NOTHING = new Float64Array(BY_FINGER);
/** Times as much as before, where strain is moved the same way again, and where it is moved back. */
const AGAIN = 1.3;
const BACK = 0.5;

/**
 * Strain that is moved between the two strokes of each loose pair: what makes a finger dearer on one makes it as much cheaper on
 * the other. One finger on both costs then what it did; two fingers cost no more than they are asked to, for no more than half
 * of what the pair is worth is moved either way. So the search, which knows nothing of pairs, finds a total that is still no
 * more than the best can cost, and the better it is balanced the nearer that comes (dual decomposition: Komodakis, Paragios and
 * Tziritas, IEEE Trans. PAMI 33(3), 2011; how much is moved each time is a choice).
 */
export class Balance {
  /** @param sums what is moved onto each stroke in all, by line, at BY_FINGER times Stroke.index and the finger */
  private constructor(
    private readonly moved: readonly Moved[],
    private readonly sums: readonly Float64Array[],
  ) {}

  /** With nothing moved yet. A stroke that may be left out breaks no tie, so that nothing is moved onto it. */
  static of(ties: readonly Tie[], lattices: readonly Lattice[]): Balance {
    const isPlayed = (place: Place): boolean => alwaysPlayed(place, lattices);
    const moved = ties.flatMap(pairsOf).flatMap((pair): Moved[] => {
      if (!isPlayed(pair.one) || !isPlayed(pair.other)) return [];
      const step = Math.min(FIRST.most, FIRST.ofWorth * pair.worth);
      return [{ pair, by: NOTHING, step, from: 0, to: 0 }];
    });
    return new Balance(
      moved,
      lattices.map(({ task }) => new Float64Array(task.line.strokes.length * BY_FINGER)),
    );
  }

  /** Some terms, and what is moved on top of them. */
  on(terms: readonly Terms[]): readonly Terms[] {
    return terms.map((of, line) => {
      const sum = this.sums[line]!;
      return { ...of, dearer: of.dearer ? sum.map((by, at) => by + of.dearer![at]!) : sum };
    });
  }

  /** What is moved onto a fingering, in all; less than 0 where it is made cheaper. */
  onto(bests: readonly PathFound[]): number {
    let sum = 0;
    for (const { pair, by } of this.moved) sum += by[fingerAt(pair.one, bests)]! - by[fingerAt(pair.other, bests)]!;
    return sum;
  }

  /** With more moved where a fingering has two fingers on a pair; null where nothing is left to move. */
  movedFor(bests: readonly PathFound[]): Balance | null {
    const sums = this.sums.map((sum) => Float64Array.from(sum));
    let isSame = true;
    const moved = this.moved.map((was) => {
      const now = movedOn(was, fingerAt(was.pair.one, bests), fingerAt(was.pair.other, bests));
      if (now === was) return was;
      isSame = false;
      addTo(sums, was, -1);
      addTo(sums, now, 1);
      return now;
    });
    return isSame ? null : new Balance(moved, sums);
  }

  /** Without some ties, which are loose no longer. */
  without(ties: ReadonlySet<Tie>): Balance {
    const sums = this.sums.map((sum) => Float64Array.from(sum));
    const moved = this.moved.filter((of) => {
      const isGone = ties.has(of.pair.tie);
      if (isGone) addTo(sums, of, -1);
      return !isGone;
    });
    return new Balance(moved, sums);
  }
}

/** Adds what is moved for a pair to both its strokes, or takes it away again. */
function addTo(sums: readonly Float64Array[], { pair: { one, other }, by }: Moved, sign: 1 | -1): void {
  for (let finger = 1; finger < BY_FINGER; finger++) {
    sums[one.line]![one.stroke * BY_FINGER + finger]! += sign * by[finger]!;
    sums[other.line]![other.stroke * BY_FINGER + finger]! -= sign * by[finger]!;
  }
}

/** Every stroke of a tie with the first that is bound. */
function pairsOf(tie: Tie): readonly Pair[] {
  const [one, ...bound] = tie.bound as [Place, ...Place[]];
  return [
    ...bound.map((other) => ({ tie, one, other, worth: Infinity })),
    ...tie.remembered.map((other) => ({ tie, one, other, worth: other.worth })),
  ];
}

function alwaysPlayed({ line, stroke }: Place, lattices: readonly Lattice[]): boolean {
  const { layer, task } = lattices[line]!;
  const { onset } = task.line.strokes[stroke]!;
  return layer(onset).candidates.every(({ struck }) => struck.some((press) => press.stroke.index === stroke));
}

/** The finger found on the one stroke made dearer there, that on the other made dearer on that. */
function movedOn(was: Moved, from: number, to: number): Moved {
  const { by, pair } = was;
  if (from === to || by[from]! - by[to]! >= pair.worth) return was;
  const isAgain = was.from === from && was.to === to;
  const isBack = was.from === to && was.to === from;
  const step = was.step * (isAgain ? AGAIN : isBack ? BACK : 1);
  const next = Float64Array.from(by);
  next[from] = Math.min(pair.worth / 2, by[from]! + step);
  next[to] = Math.max(-pair.worth / 2, by[to]! - step);
  return { pair, by: next, step, from, to };
}
