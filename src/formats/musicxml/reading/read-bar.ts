import { isOnKeyboard, type Pitch } from "@/core/keyboard/pitch";
import type { Metre } from "@/core/passage/metre";
import type { NoteId } from "@/core/passage/note";
import { add, beats, compare, denominatorOf, later, subtract, ZERO, type Beats } from "@/core/time/beats";
import { refusal, remark, type FileIssue, type Read, type ScorePlace } from "../../issue";
import { child, childrenOf, textOf, type Element } from "../../xml/tree";
import { LIMITS } from "./limits";
import { metreOf } from "./metre";
import { wholeIn } from "./numbers";
import { ornamentsOf, rollOf } from "./ornaments";
import { characterOf, readDynamics } from "./read-character";
import { NO_TRANSPOSITION, transpositionOf, type Transposition } from "./transposition";
import type { Bar, NoteHead } from "../score";
import { directionBeat, statesTempo, tempoOf, type TempoMark } from "./tempo";

/** What goes on from bar to bar. */
export interface Running {
  divisions: number | null;
  metre: Metre;
  staves: number;
  tempo: number | null;
  readonly tempi: TempoMark[];
  /** Loudness last marked, by staff; 0 for a mark that names none. */
  readonly loudness: Map<number, number>;
  /** How what sounds differs from what is written, by staff; 0 for all. */
  readonly transpositions: Map<number, Transposition>;
}

const STEPS: ReadonlyMap<string, number> = new Map([
  ["C", 0],
  ["D", 2],
  ["E", 4],
  ["F", 5],
  ["G", 7],
  ["A", 9],
  ["B", 11],
]);
const LETTERS = [...STEPS.keys()];

interface Growing {
  readonly index: number;
  readonly number: string;
  readonly start: Beats;
  readonly place: ScorePlace;
  readonly heads: NoteHead[];
  readonly issues: FileIssue[];
  /** Notes so far by staff and voice, for their order. */
  readonly orders: Map<string, number>;
  at: Beats;
  /** Onset of the note before, which a chord note shares. */
  last: Beats;
  /** Number of the stem that notes share. */
  stem: number;
  furthest: Beats;
}

/** Reads one bar; positions are exact. Repeats are left as written. */
export function readBar(measure: Element, index: number, start: Beats, running: Running, part: string): Read<Bar> {
  const label = measure.attributes["number"] ?? "";
  const number = /^\d{1,6}$/.test(label) ? label : String(index);
  const place = { part, bar: number };
  const bar: Growing = {
    index,
    number,
    start,
    place,
    heads: [],
    issues: [],
    orders: new Map(),
    at: ZERO,
    last: ZERO,
    stem: 0,
    furthest: ZERO,
  };
  for (const element of measure.children) {
    const problem = readElement(element, bar, running);
    if (problem) return refusal("bad-duration", problem, place);
    if (denominatorOf(bar.at) > LIMITS.denominator)
      return refusal("too-fine", "The places of the notes are finer than any music: they cannot be told apart.", place);
  }
  const length = compare(bar.furthest, ZERO) > 0 ? bar.furthest : running.metre.length;
  const { metre } = running;
  const implicit = measure.attributes["implicit"] === "yes";
  return {
    ok: true,
    value: { index, number, start, length, metre, implicit, heads: numberGraces(bar), elements: [measure] },
    issues: bar.issues,
  };
}

function readElement(element: Element, bar: Growing, running: Running): string | null {
  switch (element.name) {
    case "attributes":
      readAttributes(element, bar, running);
      return null;
    case "direction":
      readTempo(element, bar, running);
      readDynamics(element, running);
      return null;
    case "sound":
      readTempo(element, bar, running);
      return null;
    case "backup":
    case "forward":
      return move(element, bar, running);
    case "note":
      return readNote(element, bar, running);
    default:
      return null;
  }
}

function readTempo(element: Element, bar: Growing, running: Running): void {
  const tempo = tempoOf(element, running.tempo);
  if (tempo === null) {
    if (statesTempo(element))
      bar.issues.push(remark("bad-tempo", "A tempo mark makes no sense and is passed over.", bar.place));
    return;
  }
  running.tempo = tempo;
  const offset = /^-?\d{1,9}$/.exec(textOf(element, "offset") ?? "")?.[0];
  const moved = offset === undefined || running.divisions === null ? null : beats(Number(offset), running.divisions);
  const { index, number, place } = bar;
  running.tempi.push({ tempo, barIndex: index, bar: number, beat: directionBeat(bar.at, moved), part: place.part });
}

function readAttributes(element: Element, bar: Growing, running: Running): void {
  const said = textOf(element, "divisions");
  if (said !== null) {
    const divisions = divisionsIn(said);
    if (divisions !== null) running.divisions = divisions;
    else
      bar.issues.push(
        remark(
          "bad-divisions",
          `Divisions of “${shown(said)}” are no number of divisions and are passed over.`,
          bar.place,
        ),
      );
  }
  const staves = textOf(element, "staves");
  if (staves !== null) running.staves = Math.max(running.staves, wholeIn(staves, LIMITS.staves) ?? 1);
  for (const transpose of childrenOf(element, "transpose")) {
    const staff = wholeIn(transpose.attributes["number"] ?? null, LIMITS.staves) ?? 0;
    if (staff === 0) running.transpositions.clear();
    running.transpositions.set(staff, transpositionOf(transpose));
  }
  const time = child(element, "time");
  if (!time || child(time, "senza-misura")) return;
  const metre = metreOf(time);
  if (metre !== null) running.metre = metre;
  else bar.issues.push(remark("bad-time", "A time signature makes no sense and is passed over.", bar.place));
}

/** Divisions may be written as 480.0; what is no positive whole number within reason is none. */
function divisionsIn(text: string): number | null {
  return wholeIn(text.replace(/\.0+$/, ""), LIMITS.divisions);
}

function move(element: Element, bar: Growing, running: Running): string | null {
  const length = durationOf(element, bar, running);
  if (length === null) return `A <${element.name}> has no proper duration.`;
  bar.at = element.name === "forward" ? add(bar.at, length) : subtract(bar.at, length);
  if (compare(bar.at, ZERO) < 0) {
    bar.issues.push(
      remark("backup", "A <backup> goes back past the start of the bar; it is taken as going to the start.", bar.place),
    );
    bar.at = ZERO;
  }
  bar.furthest = later(bar.furthest, bar.at);
  return null;
}

function readNote(element: Element, bar: Growing, running: Running): string | null {
  const grace = child(element, "grace") !== null;
  const duration = grace ? ZERO : durationOf(element, bar, running);
  if (duration === null) return "A note has no proper duration.";
  const chord = child(element, "chord") !== null;
  const at = chord ? bar.last : bar.at;
  if (!chord) {
    bar.last = bar.at;
    bar.stem++;
    bar.at = add(bar.at, duration);
    bar.furthest = later(bar.furthest, bar.at);
  }
  // Cue notes are another player's: they take their time and are not played.
  if (child(element, "rest") || child(element, "cue")) return null;
  const staff = staffOf(element, bar);
  const pitch = pitchOf(element, bar, running.transpositions.get(staff) ?? running.transpositions.get(0));
  const voice = (textOf(element, "voice") ?? "1").replace(/[^A-Za-z0-9]/g, "").slice(0, 12) || "1";
  const order = (bar.orders.get(`${staff} ${voice}`) ?? 0) + 1;
  bar.orders.set(`${staff} ${voice}`, order);
  if (pitch === null) return null;
  remarkOnOrnaments(element, bar);
  const ties = tiesOf(element);
  bar.heads.push({
    id: `b${bar.index}-s${staff}-v${voice}-n${order}` as NoteId,
    ...pitch,
    staff,
    home: staff,
    voice,
    stem: bar.stem,
    onset: add(bar.start, at),
    duration,
    grace: grace ? -1 : 0,
    tieStart: ties.includes("start"),
    tieStop: ties.includes("stop"),
    printed: printedDigit(element),
    ...(grace ? {} : rolledAs(element)),
    ...characterOf(element, running.loudness.get(staff) ?? running.loudness.get(0)),
    element,
  });
  return null;
}

/** How a note is rolled, where it is. */
function rolledAs(element: Element): Pick<NoteHead, "roll"> {
  const roll = rollOf(element);
  return roll ? { roll } : {};
}

function staffOf(element: Element, bar: Growing): number {
  const said = textOf(element, "staff");
  if (said === null) return 1;
  const staff = wholeIn(said, LIMITS.staves);
  if (staff === null)
    bar.issues.push(remark("bad-staff", `“${shown(said)}” is no staff; the note is taken as on the first.`, bar.place));
  return staff ?? 1;
}

/** What a note's sign asks beyond its own key is left to the player, who should know. */
function remarkOnOrnaments(element: Element, bar: Growing): void {
  for (const name of ornamentsOf(element))
    bar.issues.push(
      remark(
        `ornament-${name}`,
        `A ${name} is fingered on its written note alone; its other notes are yours to choose.`,
        bar.place,
      ),
    );
}

function durationOf(element: Element, bar: Growing, running: Running): Beats | null {
  const text = textOf(element, "duration");
  if (text === null || !/^\d{1,9}(\.\d{1,6})?$/.test(text)) return null;
  if (running.divisions === null) {
    running.divisions = 1;
    bar.issues.push(
      remark("no-divisions", "The file does not say how long a division is; a quarter note is assumed.", bar.place),
    );
  }
  return beats(Number(text), running.divisions);
}

/** The key that sounds, and the step of the scale it is written on. */
function pitchOf(
  element: Element,
  bar: Growing,
  { semitones, steps }: Transposition = NO_TRANSPOSITION,
): { readonly pitch: Pitch; readonly step: number } | null {
  const written = child(element, "pitch");
  if (!written) {
    bar.issues.push(remark("unpitched", "A note without pitch is passed over.", bar.place));
    return null;
  }
  const [step, octave, alter] = [
    textOf(written, "step") ?? "",
    Number(textOf(written, "octave")),
    Number(textOf(written, "alter") ?? 0),
  ];
  const key = (octave + 1) * 12 + (STEPS.get(step) ?? NaN) + Math.round(alter) + semitones;
  if (isOnKeyboard(key)) {
    if (alter !== Math.round(alter))
      bar.issues.push(
        remark("microtone", `${step}${octave} altered by ${alter} is taken as the nearest key.`, bar.place),
      );
    return { pitch: key, step: octave * 7 + LETTERS.indexOf(step) + steps };
  }
  bar.issues.push(
    remark(
      "off-keyboard",
      `${shown(step)}${shown(String(octave))} with alteration ${shown(String(alter))} is not on the keyboard and is passed over.`,
      bar.place,
    ),
  );
  return null;
}

/** A word of the file as it can stand in a sentence. */
function shown(text: string): string {
  return text.length > 20 ? `${text.slice(0, 20)}…` : text;
}

function tiesOf(element: Element): readonly string[] {
  const ties = childrenOf(element, "tie");
  const shownTies = childrenOf(element, "notations").flatMap((n) => childrenOf(n, "tied"));
  return (ties.length > 0 ? ties : shownTies).map((tie) => tie.attributes["type"] ?? "");
}

/** The first digit from 1 to 5 printed with a note. */
function printedDigit(element: Element): number | null {
  for (const notations of childrenOf(element, "notations")) {
    for (const technical of childrenOf(notations, "technical")) {
      for (const { text } of childrenOf(technical, "fingering")) if (/^[1-5]$/.test(text)) return Number(text);
    }
  }
  return null;
}

/**
 * Grace notes of one voice before one onset count down to it; those of one chord share a number. Of more than any hand
 * plays before a note the last are taken.
 */
function numberGraces({ heads, issues, place: where }: Growing): readonly NoteHead[] {
  const groups = new Map<string, number[]>();
  heads.forEach((head, place) => {
    if (head.grace === 0) return;
    const key = `${head.staff} ${head.voice} ${head.onset}`;
    const known = groups.get(key);
    if (known) known.push(place);
    else groups.set(key, [place]);
  });
  if (groups.size === 0) return heads;
  const numbered: (NoteHead | null)[] = [...heads];
  for (const places of groups.values()) {
    let number = 0;
    for (const place of places.reverse()) {
      const head = heads[place]!;
      numbered[place] = number > -LIMITS.graces ? { ...head, grace: number - 1 } : null;
      if (child(head.element, "chord") === null) number--;
    }
    if (number < -LIMITS.graces)
      issues.push(
        remark("graces", `Of ${places.length} grace notes before one note the last ${LIMITS.graces} are taken.`, where),
      );
  }
  return numbered.filter((head) => head !== null);
}
