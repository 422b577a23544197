import { add, compare, ZERO, type Beats } from "@/core/time/beats";
import { child, childrenOf, textOf, type Element } from "../../xml/tree";
import { LIMITS } from "./limits";
import { finiteIn } from "./numbers";

/** A tempo that a file states, with where it does. */
export interface TempoMark {
  /** Quarter notes a minute. */
  readonly tempo: number;
  /** Place of the bar in the file, 1 for the first, and the bar as numbered on paper. */
  readonly barIndex: number;
  readonly bar: string;
  /** Quarter notes from the start of the bar. */
  readonly beat: Beats;
  /** Id of the part that states it. */
  readonly part: string;
}

/** Quarter notes of a note's printed kind. */
const UNITS: ReadonlyMap<string, number> = new Map([
  ["long", 16],
  ["breve", 8],
  ["whole", 4],
  ["half", 2],
  ["quarter", 1],
  ["eighth", 1 / 2],
  ["16th", 1 / 4],
  ["32nd", 1 / 8],
  ["64th", 1 / 16],
]);

/**
 * The tempo that a direction or a <sound> states, in quarter notes a minute; null where it states none, or none that
 * makes sense. What sounds counts before what is printed; of a range the first figure.
 * @param before the tempo in force, for a mark that sets one length against another
 */
export function tempoOf(element: Element, before: number | null): number | null {
  const sound = element.name === "sound" ? element : child(element, "sound");
  const said = finiteIn(sound?.attributes["tempo"], LIMITS.tempo);
  if (said !== null) return said;
  for (const type of childrenOf(element, "direction-type")) {
    const metronome = child(type, "metronome");
    const found = metronome && printedTempo(metronome, before);
    if (found) return found;
  }
  return null;
}

/** Whether a direction or a <sound> means to state a tempo. */
export function statesTempo(element: Element): boolean {
  const sound = element.name === "sound" ? element : child(element, "sound");
  if (sound?.attributes["tempo"] !== undefined) return true;
  return childrenOf(element, "direction-type").some((type) =>
    (child(type, "metronome")?.children ?? []).some(({ name }) => name === "per-minute"),
  );
}

function printedTempo(metronome: Element, before: number | null): number | null {
  const lengths = unitsOf(metronome);
  const [unit, other] = lengths;
  if (unit === undefined) return null;
  const figure = /\d+(\.\d+)?/.exec(textOf(metronome, "per-minute") ?? "")?.[0];
  // One length against another: what lasted the first now lasts the second.
  const tempo =
    figure === undefined
      ? before !== null && other !== undefined
        ? (before * other) / unit
        : NaN
      : Number(figure) * unit;
  return finiteIn(String(tempo), LIMITS.tempo);
}

/** The lengths that a metronome mark names, in quarter notes, each with its dots. */
function unitsOf(metronome: Element): readonly number[] {
  const lengths: { plain: number; dots: number }[] = [];
  for (const { name, text } of metronome.children) {
    const plain = name === "beat-unit" ? UNITS.get(text) : undefined;
    if (plain !== undefined) lengths.push({ plain, dots: 0 });
    else if (name === "beat-unit-dot" && lengths.length > 0) lengths.at(-1)!.dots++;
  }
  return lengths.map(({ plain, dots }) => plain * (2 - 0.5 ** dots));
}

/** Tempo marks in the order of the music; where several stand at one place, those of the parts that are played last. */
export function tempiInOrder(marks: readonly TempoMark[], parts: readonly string[]): readonly TempoMark[] {
  const isOwn = (mark: TempoMark): number => (parts.includes(mark.part) ? 1 : 0);
  return [...marks].sort((a, b) => a.barIndex - b.barIndex || compare(a.beat, b.beat) || isOwn(a) - isOwn(b));
}

/**
 * The tempo in force at the start of a bar: the last that is stated before it or on its first beat, else the first
 * within the bar; null where there is none.
 * @param marks in order, of all parts; see tempiInOrder
 * @param barIndex of the bar, 1 for the first
 */
export function tempoAt(marks: readonly TempoMark[], barIndex: number): TempoMark | null {
  const earlier = marks.findLast((m) => m.barIndex < barIndex || (m.barIndex === barIndex && m.beat === ZERO));
  return earlier ?? marks.find((m) => m.barIndex === barIndex) ?? null;
}

/** Where a direction stands, counted from where it is written. */
export function directionBeat(at: Beats, offset: Beats | null): Beats {
  const moved = offset === null ? at : add(at, offset);
  return compare(moved, ZERO) < 0 ? ZERO : moved;
}
