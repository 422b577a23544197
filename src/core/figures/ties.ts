import type { Memory } from "../fingering/search/conditions";
import { wideShare } from "../fingering/cost/arm";
import { WEIGHTS } from "../fingering/cost/weights";
import { tasksOf, type Study } from "../fingering/study/study";
import { contactOn } from "../keyboard/contact";
import { isBlack, type Pitch } from "../keyboard/pitch";
import type { NoteId } from "../passage/note";
import { feelsTheSame, sameness, takesSameFingers, type Figure, type FigureReturn } from "./figure";
import type { Tying } from "./tying";

/**
 * What it is worth, note by note, that figures keep their fingers when they return. Changed notes are free. So is a note
 * that is approached or left otherwise than in the figure: where music begins, ends, turns and joins, another finger may
 * stand ready; and one of a chord whose key has another colour. The worth is a strain: weights.memory for what feels the same under the hand, less as it does less, and
 * memoryAsked times that whole where the player wants every figure kept.
 */
export function memoriesOf(study: Study, figures: readonly Figure[], tying: Tying): readonly Memory[] {
  const { memory, memoryAsked } = study.weights ?? WEIGHTS;
  const worthOf = (given: FigureReturn): number => memory * (tying === "all" ? memoryAsked : sameness(given));
  const ways = waysThrough(study);
  return figures.flatMap(({ notes, returns }) => {
    const tied = returns.filter((given) => isTied(given, tying));
    return notes.flatMap((note, place): Memory[] => {
      const answers = tied
        .filter((given) => !given.changed.includes(place) && goesAlike(ways, note, given.notes[place]!, given))
        .map((given) => ({ note: given.notes[place]!, worth: worthOf(given) }));
      return answers.length > 0 ? [{ note, returns: answers }] : [];
    });
  });
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
}

/** Null where there is none, or it lies farther than the hand opens: the hand is set down anew there, as at a beginning. */
type Step = number | null;

function waysThrough(study: Study): ReadonlyMap<NoteId, Way> {
  const ways = new Map<NoteId, Way>();
  for (const { line, hand, instrument } of tasksOf(study)) {
    const lows = line.onsets.map(({ struck }) => struck[0]!.key);
    const mmBetween = (one: Pitch, other: Pitch): number =>
      contactOn(other, instrument).x - contactOn(one, instrument).x;
    const isFar = (one: Pitch, other: Pitch): boolean => Math.abs(mmBetween(one, other)) > hand.keySpan;
    const isBroken = (at: number): boolean => {
      const sides = [lows[at - 1], lows[at + 1]].flatMap((beside) =>
        beside === undefined ? [] : [mmBetween(lows[at]!, beside)],
      );
      return sides.length > 0 && sides.every((mm) => wideShare(hand, Math.abs(mm)) > 0 && mm * sides[0]! > 0);
    };
    for (const { index, struck } of line.onsets) {
      const between = (other: number): Step =>
        lows[other] === undefined || isFar(lows[other], lows[index]!) ? null : lows[other] - lows[index]!;
      for (const { notes, key } of struck) {
        const colour = struck.length === 1 && !isBroken(index) ? null : isBlack(key) ? "black" : "white";
        for (const note of notes) ways.set(note, { from: between(index - 1), on: between(index + 1), colour });
      }
    }
  }
  return ways;
}

/** Whether a note and the one that answers it are approached and left alike, by the same interval, in another key by the same step, and lie alike. */
function goesAlike(ways: ReadonlyMap<NoteId, Way>, one: NoteId, other: NoteId, { relation }: FigureReturn): boolean {
  const [a, b] = [ways.get(one), ways.get(other)];
  if (a === undefined || b === undefined) return a === b;
  const give = relation === "diatonic" ? 1 : 0;
  const alike = (x: Step, y: Step): boolean => x === y || (x !== null && y !== null && Math.abs(x - y) <= give);
  if (relation === "mirrored") return typeof a.from === typeof b.from && typeof a.on === typeof b.on;
  return a.colour === b.colour && alike(a.from, b.from) && alike(a.on, b.on);
}
