import { drain } from "../../drain";
import { SIDES, type Finger, type Side } from "../../hand/finger";
import type { Onset } from "../../passage/line";
import type { Stroke } from "../../passage/strokes";
import type { NoteId } from "../../passage/note";
import type { Passage } from "../../passage/passage";
import { WEIGHTS } from "../../fingering/cost/weights";
import type { Fingering } from "../../fingering/study/fingering";
import type { Frame } from "../../fingering/frames/frame";
import type { Progress } from "../../fingering/search/search";
import { bothTasks, type Study } from "../../fingering/study/study";
import { handSteps, type HandSteps, type Stand, type HandStep } from "./hand-steps";
import { KeptWays } from "./kept-ways";
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
  const kept = waysKept ?? Math.ceil(WAYS_IN_ALL / Math.max(1, moments.length));
  let ways: readonly SharedWay[] = [{ right: right.start, left: left.start, total: 0, split: null, from: null }];
  let exact = true;
  let sinceYield = 0;
  for (const [index, moment] of moments.entries()) {
    const next = new KeptWays<SharedWay>(kept);
    for (const way of ways)
      for (const split of moment.splits) {
        takeOn(way, split, moment, next);
        if (++sinceYield < STEPS_A_YIELD) continue;
        sinceYield = 0;
        yield { done: index, of: moments.length };
      }
    ways = next.ways();
    exact &&= next.isWhole;
    right.forget(new Set(ways.map((way) => way.right)));
    left.forget(new Set(ways.map((way) => way.left)));
    yield { done: index + 1, of: moments.length };
  }
  const best = ways.reduce((a, b) => (b.total < a.total ? b : a));
  return sharedFrom(best, moments, exact);

  function takeOn(way: SharedWay, split: Split, { onset }: SharedMoment, next: KeptWays<SharedWay>): void {
    const { toLeft, toRight } = split;
    if (split.changed > 0 && !wishes.crossing && crosses(way, toLeft, toRight)) return;
    const sofar = way.total + weights.handChanged * split.changed;
    // Strains are never less than nothing: what is past the limit now stays past it.
    if (sofar >= next.limit) return;
    const lefts = onFrom(left, way.left, onset, toLeft);
    for (const r of onFrom(right, way.right, onset, toRight))
      for (const l of lefts) {
        const total = sofar + r.strain + l.strain;
        if (total < next.limit) next.offer(keyOf(r.to, l.to), { right: r.to, left: l.to, total, split, from: way });
      }
  }
}

/** How a hand goes on that plays its share of an onset: nothing leaves it where it is. */
function onFrom(hand: HandSteps, at: Stand, onset: Onset, share: readonly Stroke[]): readonly HandStep[] {
  return share.length === 0 ? [{ to: at, strain: 0 }] : hand.from(at, onset, share);
}

/** Ways taken on from one look at whether it is still wanted to the next. A choice: some milliseconds. */
const STEPS_A_YIELD = 200;

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
  /** How the moment that it ends in is shared out; null before the first. */
  readonly split: Split | null;
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

function sharedFrom(best: SharedWay, moments: readonly SharedMoment[], exact: boolean): Shared {
  const fingering: Record<NoteId, Finger | null> = {};
  const taken: Record<NoteId, Side> = {};
  for (let way = best, index = moments.length - 1; index >= 0; way = way.from!, index--) {
    const { onset, written } = moments[index]!;
    onset.struck.forEach(({ notes, index: stroke }, place) => {
      const isLeft = bit(way.split!.bits, place);
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
