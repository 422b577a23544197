import type { Memory } from "../fingering/search/conditions";
import { wideShare } from "../fingering/cost/arm";
import { WEIGHTS } from "../fingering/cost/weights";
import { tasksOf, type Study } from "../fingering/study/study";
import type { Task } from "../fingering/study/task";
import { contactOn } from "../keyboard/contact";
import { FIGURE } from "../physics";
import { isSecond } from "../keyboard/interval";
import { isBlack, type Pitch } from "../keyboard/pitch";
import type { Line } from "../passage/line";
import type { NoteId } from "../passage/note";
import { feelsTheSame, isMovedAlong, sameness, takesSameFingers, type Figure, type FigureReturn } from "./figure";
import { patternsOf } from "./patterns";
import type { Tying } from "./tying";

/**
 * What it is worth, note by note, that figures keep their fingers when they return. Changed notes are free. So is a note
 * that is approached or left otherwise than in the figure: where music begins, ends, turns and joins, another finger may
 * stand ready; and one of a chord whose key has another colour; and where only one note is left. The worth is a strain: weights.memory for what feels the same under the hand, less as it does less, and
 * memoryAsked times that whole where the player wants every figure kept.
 */
export function memoriesOf(study: Study, figures: readonly Figure[], tying: Tying): readonly Memory[] {
  const { memory, memoryAsked } = study.weights ?? WEIGHTS;
  const ways = waysThrough(study);
  return figures.flatMap((figure) => {
    const ties = tying === "alike" ? [...returning(figure), ...movedAlong(figure, ways)] : asked(figure, tying);
    const remembered = new Map<NoteId, Memory["returns"][number][]>();
    for (const { from, to, relation, worth } of ties) {
      const bound = from.flatMap((note, place) => {
        const again = to.notes[place]!;
        return to.changed.includes(place) || !goesAlike(ways, note, again, relation) ? [] : [{ note, again }];
      });
      // One note alone is no figure.
      if (tying !== "all" && bound.length < FIGURE.leastBound) continue;
      for (const { note, again } of bound) {
        if (tying !== "all" && ways.get(note)?.isAgain) continue;
        const returns = remembered.get(note) ?? [];
        returns.push({ note: again, worth: memory * (tying === "all" ? memoryAsked : worth) });
        remembered.set(note, returns);
      }
    }
    return [...remembered].map(([note, returns]) => ({ note, returns }));
  });
}

/** A return that keeps the fingers of an earlier time, and what share of memory that is worth. */
interface Tie {
  readonly from: readonly NoteId[];
  readonly to: Pick<FigureReturn, "notes" | "changed">;
  readonly relation: FigureReturn["relation"];
  readonly worth: number;
}

/** Every return that can. */
function asked({ notes, returns }: Figure, tying: Tying): readonly Tie[] {
  const tied = returns.filter((given) => isTied(given, tying));
  return tied.map((to) => ({ from: notes, to, relation: to.relation, worth: 1 }));
}

/** What returns on the same keys, or by octaves. */
function returning({ notes, returns }: Figure): readonly Tie[] {
  return returns
    .filter((given) => !isMovedAlong(given) && feelsTheSame(given))
    .map((to) => ({ from: notes, to, relation: to.relation, worth: sameness(to) }));
}

/** One time that a figure is played. */
interface Time {
  readonly notes: readonly NoteId[];
  readonly changed: readonly number[];
  /** To the figure's first time. */
  readonly relation: FigureReturn["relation"];
}

/** What follows on other steps. Of a figure that comes back to its first key every second time is as the one before the last. */
function movedAlong({ notes, returns }: Figure, ways: Ways): readonly Tie[] {
  const times: readonly Time[] = [{ notes, changed: [], relation: "chromatic" }, ...returns.filter(isMovedAlong)];
  if (!comesBack(notes, times[1], ways)) return alongEach(times, ways);
  return [0, 1].flatMap((odd) =>
    alongEach(
      times.filter((_, i) => i % 2 === odd),
      ways,
    ),
  );
}

/**
 * Whether a figure of single notes ends on the key that it begins with and goes on a step beside it: with the same fingers each
 * time the one that ends it would have to hop, so that the hand lies over two times at once.
 */
function comesBack(notes: readonly NoteId[], next: Time | undefined, ways: Ways): boolean {
  const [first, last, beside] = [notes[0]!, notes.at(-1)!, next?.notes[0]].map((note) => note && ways.get(note));
  if (!first || !last || !beside || notes.some((note) => ways.get(note)?.colour !== null)) return false;
  return first.key === last.key && isSecond(last.key - beside.key) && last.key - beside.key === beside.from;
}

/**
 * Each time, as long as one after another lies on keys of like colours, by the first of them; after others by the last that does,
 * for less.
 */
function alongEach(times: readonly Time[], ways: Ways): readonly Tie[] {
  const alike = (one: number, other: number): number => likeColours(ways, times[one]!.notes, times[other]!.notes);
  const firsts = [0];
  return times.slice(1).flatMap((to, i): Tie[] => {
    const time = i + 1;
    const last = times.slice(0, time).findLastIndex((_, k) => alike(k, time) >= FIGURE.alikeFrom);
    const goesOn = last === i && alike(firsts[i]!, time) >= FIGURE.alikeFrom;
    firsts.push(goesOn ? firsts[i]! : time);
    if (last < 0) return [];
    const from = goesOn ? firsts[i]! : last;
    const worth = alike(from, time) * (last === i ? 1 : FIGURE.worthFartherOn);
    const relation = times[from]!.relation === "diatonic" ? "diatonic" : to.relation;
    return [{ from: times[from]!.notes, to, relation, worth }];
  });
}

/** Share of notes whose keys have the colours of those that answer them. */
function likeColours(ways: Ways, notes: readonly NoteId[], others: readonly NoteId[]): number {
  return notes.filter((note, i) => ways.get(note)?.isBlack === ways.get(others[i]!)?.isBlack).length / notes.length;
}

/** Whether a return keeps its figure's fingers. */
export function isTied(given: FigureReturn, tying: Tying): boolean {
  return tying === "all" ? takesSameFingers(given) : tying === "alike" && feelsTheSame(given);
}

/** How a note lies in its line: semitones from the onset before to its own, and on to the next. */
interface Way {
  readonly from: Step;
  readonly on: Step;
  /**
   * Of its key where other keys are struck with it, or the hand goes wide out and back, which is a chord that is broken: black
   * keys of a chord ask for another finger, those of a line go with it.
   */
  readonly colour: "black" | "white" | null;
  readonly key: Pitch;
  readonly isBlack: boolean;
  /** Whether the onset before strikes the same single key: which fingers take turns on it is remembered otherwise (see struckAgainIn). */
  readonly isAgain: boolean;
}

/**
 * Null where there is none, or it lies farther than the hand opens: the hand is set down anew there, as at a beginning. A pattern
 * that begins or ends so is approached and left as its other turns are.
 */
type Step = number | null;

type Ways = ReadonlyMap<NoteId, Way>;

function waysThrough(study: Study): Ways {
  const ways = new Map<NoteId, Way>();
  for (const task of tasksOf(study)) {
    const [before, after] = besidePatterns(task.line);
    for (const { index, struck } of task.line.onsets) {
      const { from, on, isBroken } = wayAt(task, index, [
        [index - 1, before.get(index)],
        [index + 1, after.get(index)],
      ]);
      for (const { notes, key } of struck) {
        const colour = struck.length === 1 && !isBroken ? null : isBlack(key) ? "black" : "white";
        for (const note of notes)
          ways.set(note, { from, on, colour, key, isBlack: isBlack(key), isAgain: struck.length === 1 && from === 0 });
      }
    }
  }
  return ways;
}

/** Onsets beside one: the one that is there, if it is, and the one that would be if a pattern went on. */
type Beside = readonly (number | undefined)[];

/** How an onset lies in its line, by its lowest key and those of the onsets before it and after it that lie within the hand. */
function wayAt(
  { line: { onsets }, hand, instrument }: Task,
  index: number,
  besides: readonly [Beside, Beside],
): Pick<Way, "from" | "on"> & { readonly isBroken: boolean } {
  const lowest = (at: number): Pitch => onsets[at]!.struck[0]!.key;
  const mmTo = (other: number): number =>
    contactOn(lowest(other), instrument).x - contactOn(lowest(index), instrument).x;
  const isNear = (other: number): boolean => Math.abs(mmTo(other)) <= hand.keySpan;
  const stepTo = (other: number | undefined): Step =>
    other === undefined || !isNear(other) ? null : lowest(other) - lowest(index);
  const [before, after] = besides.map((beside) => {
    const known = beside.filter((at) => at !== undefined && onsets[at] !== undefined) as number[];
    return known.find(isNear) ?? known[0];
  });
  const sides = [before, after].flatMap((other) => (other === undefined ? [] : [mmTo(other)]));
  const isBroken = sides.length > 0 && sides.every((mm) => wideShare(hand, Math.abs(mm)) > 0 && mm * sides[0]! > 0);
  return { from: stepTo(before), on: stepTo(after), isBroken };
}

/** Of the first onset of a pattern the one that would come before it, and of the last the one that would follow, if it went on. */
function besidePatterns(line: Line): readonly [ReadonlyMap<number, number>, ReadonlyMap<number, number>] {
  const patterns = patternsOf(line);
  return [
    new Map(patterns.map(({ first, turn }) => [first, first + turn - 1])),
    new Map(patterns.map(({ last, turn }) => [last, last + 1 - turn])),
  ];
}

/** Whether a note and the one that answers it are approached and left alike, by the same interval, in another key by the same step, and lie alike. */
function goesAlike(ways: Ways, one: NoteId, other: NoteId, relation: FigureReturn["relation"]): boolean {
  const [a, b] = [ways.get(one), ways.get(other)];
  if (a === undefined || b === undefined) return a === b;
  const give = relation === "diatonic" ? 1 : 0;
  const alike = (x: Step, y: Step): boolean => x === y || (x !== null && y !== null && Math.abs(x - y) <= give);
  if (relation === "mirrored") return typeof a.from === typeof b.from && typeof a.on === typeof b.on;
  return a.colour === b.colour && alike(a.from, b.from) && alike(a.on, b.on);
}
