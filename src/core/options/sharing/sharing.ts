import { drain } from "../../drain";
import { SIDES, type Finger, type Side } from "../../hand/finger";
import type { Stroke } from "../../passage/strokes";
import type { NoteId } from "../../passage/note";
import type { Passage } from "../../passage/passage";
import { WEIGHTS } from "../../fingering/cost/weights";
import type { Fingering } from "../../fingering/study/fingering";
import type { Frame } from "../../fingering/frames/frame";
import type { Progress } from "../../fingering/search/search";
import { bothTasks, type Study } from "../../fingering/study/study";
import { handSteps, type HandSteps, type Stand, type HandStep } from "./hand-steps";
import { bit, momentsOf, type SharedMoment, type Split } from "./moments";
import { sharingWeights, type SharingWishes } from "./wishes";

/** A passage shared out anew between the hands, and fingered. */
export interface Shared {
  /** Notes that change hands, and the hand that takes them. */
  readonly taken: Readonly<Record<NoteId, Side>>;
  readonly fingering: Fingering;
  /** Sum of strains by the sharing weights, with what each changed note costs. */
  readonly total: number;
  /** Whether nothing was given up on the way, so that no better way exists. */
  readonly exact: boolean;
  readonly brackets: readonly Bracket[];
}

/** A run of notes that one hand takes from the other. */
interface Bracket {
  readonly side: Side;
  readonly notes: readonly NoteId[];
}

/** Ways kept from one moment to the next, in all: a short passage is searched wider. */
const WAYS_IN_ALL = 80_000;

/**
 * The best way found to share a passage between the hands and finger it, over all splits that the wishes allow and
 * all fingers of both hands. At each moment every way so far is taken on by every split and fingering; ways that come
 * to the same last two frames of each hand are one. An idle hand stays where it last played. While no more than
 * `waysKept` ways arise the answer is exact; beyond that the cheapest are kept, and `exact` is false.
 *
 * Unless crossing is allowed, no key of the left hand lies above one that the right strikes at the same time, or
 * struck last, and the other way round.
 *
 * Cost: the strains of both hands by the sharing weights and Weights.handChanged for each note that changes hands.
 */
export function* sharing(study: Study, wishes: SharingWishes, waysKept?: number): Generator<Progress, Shared> {
  const weights = sharingWeights(study.weights ?? WEIGHTS, wishes);
  const moments = momentsOf(study.passage, study.manner, wishes);
  const strokes = moments.reduce((sum, { onset }) => sum + onset.struck.length, 0);
  const [right, left] = bothTasks({ ...study, weights }).map((task) => handSteps(task, strokes)) as [
    HandSteps,
    HandSteps,
  ];
  let ways: SharedWay[] = [{ right: right.start, left: left.start, total: 0, split: 0, from: null }];
  const kept = waysKept ?? Math.ceil(WAYS_IN_ALL / Math.max(1, moments.length));
  let exact = true;
  let sinceYield = 0;
  for (const [index, moment] of moments.entries()) {
    let next = new Map<number, SharedWay>();
    for (const way of ways)
      for (const split of moment.splits) {
        takeOn(way, split, moment, next);
        if (next.size > ROOM * kept) {
          exact = false;
          next = cheapest(next, kept);
        }
        if (++sinceYield < STEPS_A_YIELD) continue;
        sinceYield = 0;
        yield { done: index, of: moments.length };
      }
    if (next.size > kept) {
      exact = false;
      next = cheapest(next, kept);
    }
    ways = [...next.values()];
    right.forget(new Set(ways.map((way) => way.right)));
    left.forget(new Set(ways.map((way) => way.left)));
    yield { done: index + 1, of: moments.length };
  }
  const best = ways.reduce((a, b) => (b.total < a.total ? b : a));
  return sharedFrom(best, moments, exact);

  function takeOn(way: SharedWay, split: Split, moment: SharedMoment, next: Map<number, SharedWay>): void {
    const { onset, written } = moment;
    const toLeft = onset.struck.filter((_, place) => bit(split, place));
    const toRight = onset.struck.filter((_, place) => !bit(split, place));
    if (split !== written && !wishes.crossing && crosses(way, toLeft, toRight)) return;
    const changed = weights.handChanged * countBits(split ^ written);
    const ons = (hand: HandSteps, at: Stand, share: readonly Stroke[]): readonly HandStep[] =>
      share.length === 0 ? [{ to: at, strain: 0 }] : hand.from(at, onset, share);
    for (const r of ons(right, way.right, toRight)) {
      for (const l of ons(left, way.left, toLeft)) {
        const total = way.total + r.strain + l.strain + changed;
        const key = keyOf(r.to, l.to);
        const known = next.get(key);
        if (known === undefined || total < known.total)
          next.set(key, { right: r.to, left: l.to, total, split, from: way });
      }
    }
  }
}

/** Ways that may stand beside those kept before the dearest are let go: memory stays bounded within a moment. A choice. */
const ROOM = 3;
/** Ways taken on from one look at whether it is still wanted to the next. A choice: some milliseconds. */
const STEPS_A_YIELD = 200;

function cheapest(ways: ReadonlyMap<number, SharedWay>, count: number): Map<number, SharedWay> {
  return new Map([...ways].sort(([, a], [, b]) => a.total - b.total).slice(0, count));
}

/** Both hands' stands as one number: fewer than 2^26 of each are made between two moments, for only the kept ones go on. */
function keyOf(right: Stand, left: Stand): number {
  return right.id * 2 ** 26 + left.id;
}

/** Shares a study's notes out between the hands, at once. */
export function share(study: Study, wishes: SharingWishes): Shared {
  return drain(sharing(study, wishes));
}

interface SharedWay {
  readonly right: Stand;
  readonly left: Stand;
  readonly total: number;
  readonly split: Split;
  readonly from: SharedWay | null;
}

/** Whether a hand would reach past where the other strikes now, or struck last and still stands. */
function crosses({ right, left }: SharedWay, toLeft: readonly Stroke[], toRight: readonly Stroke[]): boolean {
  const lowest = toRight.length > 0 ? toRight[0]!.key : lowestOf(right.now);
  const highest = toLeft.length > 0 ? toLeft.at(-1)!.key : highestOf(left.now);
  return highest >= lowest;
}

function lowestOf(frame: Frame | null): number {
  return Math.min(...[...(frame?.onset.struck ?? []), ...(frame?.held.map((p) => p.stroke) ?? [])].map((s) => s.key));
}

function highestOf(frame: Frame | null): number {
  return Math.max(...[...(frame?.onset.struck ?? []), ...(frame?.held.map((p) => p.stroke) ?? [])].map((s) => s.key));
}

function countBits(bits: number): number {
  let count = 0;
  for (let rest = bits; rest > 0; rest >>= 1) count += rest & 1;
  return count;
}

function sharedFrom(best: SharedWay, moments: readonly SharedMoment[], exact: boolean): Shared {
  const fingering: Record<NoteId, Finger | null> = {};
  const taken: Record<NoteId, Side> = {};
  for (let way = best, index = moments.length - 1; index >= 0; way = way.from!, index--) {
    const { onset, written } = moments[index]!;
    onset.struck.forEach(({ notes, index: stroke }, place) => {
      const isLeft = bit(way.split, place);
      const frame = (isLeft ? way.left : way.right).now!;
      const finger = frame.struck.find((p) => p.stroke.index === stroke)?.finger ?? null;
      for (const id of notes) {
        fingering[id] = finger;
        if (isLeft !== bit(written, place)) taken[id] = isLeft ? "left" : "right";
      }
    });
  }
  return { taken, fingering, total: best.total, exact, brackets: bracketsOf(moments, taken) };
}

/** Runs of moments in which one hand takes something from the other. */
function bracketsOf(moments: readonly SharedMoment[], taken: Readonly<Record<NoteId, Side>>): readonly Bracket[] {
  const brackets: { side: Side; notes: NoteId[]; last: number }[] = [];
  moments.forEach(({ onset }, index) => {
    const ids = onset.struck.flatMap((s) => s.notes);
    for (const side of SIDES) {
      const notes = ids.filter((id) => taken[id] === side);
      if (notes.length === 0) continue;
      const open = brackets.findLast((b) => b.side === side);
      if (open && open.last === index - 1) {
        open.notes.push(...notes);
        open.last = index;
      } else brackets.push({ side, notes, last: index });
    }
  });
  return brackets.map(({ side, notes }) => ({ side, notes }));
}

/** The passage with the notes that change hands given to them. */
export function asShared(passage: Passage, { taken }: Pick<Shared, "taken">): Passage {
  return { ...passage, taken: { ...passage.taken, ...taken } };
}
