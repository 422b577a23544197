import { isOnKeyboard, type Pitch } from "@/core/keyboard/pitch";
import type { NoteId } from "@/core/passage/note";
import { add, beats, compare, later, subtract, ZERO, type Beats } from "@/core/time/beats";
import { refusal, remark, type FileIssue, type Read } from "../issue";
import { child, childrenOf, textOf, type Element } from "../xml/tree";
import { characterOf, readDynamics } from "./read-character";
import type { Bar, NoteHead } from "./score";

/** What goes on from bar to bar. */
export interface Running {
  divisions: number | null;
  /** Length of a full bar by the time signature. */
  length: Beats;
  staves: number;
  tempo: number | null;
  /** Loudness last marked, by staff; 0 for a mark that names none. */
  readonly loudness: Map<number, number>;
}

const STEPS: Record<string, number> = { C: 0, D: 2, E: 4, F: 5, G: 7, A: 9, B: 11 };
const LETTERS = Object.keys(STEPS);
const UNITS: Record<string, number> = { whole: 4, half: 2, quarter: 1, eighth: 0.5, "16th": 0.25, "32nd": 0.125 };

interface Growing {
  readonly index: number;
  readonly number: string;
  readonly start: Beats;
  readonly place: string;
  readonly heads: NoteHead[];
  readonly issues: FileIssue[];
  /** Notes so far by staff and voice, for their order. */
  readonly orders: Map<string, number>;
  at: Beats;
  /** Onset of the note before, which a chord note shares. */
  last: Beats;
  furthest: Beats;
}

/** Reads one bar; positions are exact. Repeats are left as written. */
export function readBar(measure: Element, index: number, start: Beats, running: Running, part: string): Read<Bar> {
  const label = measure.attributes["number"] ?? "";
  const number = /^\d+$/.test(label) ? label : String(index);
  const place = `part ${part}, bar ${number}`;
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
    furthest: ZERO,
  };
  for (const element of measure.children) {
    const problem = readElement(element, bar, running);
    if (problem) return refusal("bad-duration", problem, place);
  }
  const length = compare(bar.furthest, ZERO) > 0 ? bar.furthest : running.length;
  return {
    ok: true,
    value: { index, number, start, length, heads: numberGraces(bar.heads), element: measure },
    issues: bar.issues,
  };
}

function readElement(element: Element, bar: Growing, running: Running): string | null {
  switch (element.name) {
    case "attributes":
      readAttributes(element, bar, running);
      return null;
    case "direction":
      running.tempo ??= tempoOf(element);
      readDynamics(element, running);
      return null;
    case "sound":
      running.tempo ??= tempoOf(element);
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

function readAttributes(element: Element, bar: Growing, running: Running): void {
  const divisions = textOf(element, "divisions");
  if (divisions !== null) {
    if (Number(divisions) > 0) running.divisions = Number(divisions);
    else
      bar.issues.push(
        remark(
          "bad-divisions",
          `Divisions of "${divisions}" are not a positive number and are passed over.`,
          bar.place,
        ),
      );
  }
  const staves = Number(textOf(element, "staves"));
  if (staves > 0) running.staves = Math.max(running.staves, staves);
  const time = child(element, "time");
  const [count, unit] = time ? [Number(textOf(time, "beats")), Number(textOf(time, "beat-type"))] : [0, 0];
  if (count > 0 && unit > 0) running.length = beats(count * 4, unit);
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
  if (child(element, "cue")) return null;
  const chord = child(element, "chord") !== null;
  const at = chord ? bar.last : bar.at;
  if (!chord) {
    bar.last = bar.at;
    bar.at = add(bar.at, duration);
    bar.furthest = later(bar.furthest, bar.at);
  }
  if (child(element, "rest")) return null;
  const pitch = pitchOf(element, bar);
  const staff = Math.max(1, Number(textOf(element, "staff") ?? 1) || 1);
  const voice = (textOf(element, "voice") ?? "1").replace(/[^A-Za-z0-9]/g, "") || "1";
  const order = (bar.orders.get(`${staff} ${voice}`) ?? 0) + 1;
  bar.orders.set(`${staff} ${voice}`, order);
  if (pitch === null) return null;
  const ties = tiesOf(element);
  bar.heads.push({
    id: `b${bar.index}-s${staff}-v${voice}-n${order}` as NoteId,
    ...pitch,
    staff,
    voice,
    onset: add(bar.start, at),
    duration,
    grace: grace ? -1 : 0,
    tieStart: ties.includes("start"),
    tieStop: ties.includes("stop"),
    printed: printedDigit(element),
    ...characterOf(element, running.loudness.get(staff) ?? running.loudness.get(0)),
    element,
  });
  return null;
}

function durationOf(element: Element, bar: Growing, running: Running): Beats | null {
  const text = textOf(element, "duration");
  if (text === null || !/^\d+(\.\d+)?$/.test(text)) return null;
  if (running.divisions === null) {
    running.divisions = 1;
    bar.issues.push(
      remark("no-divisions", "The file does not say how long a division is; a quarter note is assumed.", bar.place),
    );
  }
  return beats(Number(text), running.divisions);
}

/** The key, and the step of the scale it is written on. */
function pitchOf(element: Element, bar: Growing): { readonly pitch: Pitch; readonly step: number } | null {
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
  const key = (octave + 1) * 12 + (STEPS[step] ?? NaN) + Math.round(alter);
  if (isOnKeyboard(key)) {
    if (alter !== Math.round(alter))
      bar.issues.push(
        remark("microtone", `${step}${octave} altered by ${alter} is taken as the nearest key.`, bar.place),
      );
    return { pitch: key, step: octave * 7 + LETTERS.indexOf(step) };
  }
  bar.issues.push(
    remark(
      "off-keyboard",
      `${step}${octave} with alteration ${alter} is not on the keyboard and is passed over.`,
      bar.place,
    ),
  );
  return null;
}

function tiesOf(element: Element): readonly string[] {
  const ties = childrenOf(element, "tie");
  const shown = childrenOf(element, "notations").flatMap((n) => childrenOf(n, "tied"));
  return (ties.length > 0 ? ties : shown).map((tie) => tie.attributes["type"] ?? "");
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

/** Grace notes of one voice before one onset count down to it; those of one chord share a number. */
function numberGraces(heads: readonly NoteHead[]): readonly NoteHead[] {
  const numbered = [...heads];
  const groups = new Map<string, number[]>();
  heads.forEach((head, place) => {
    if (head.grace === 0) return;
    const key = `${head.staff} ${head.voice} ${head.onset}`;
    groups.set(key, [...(groups.get(key) ?? []), place]);
  });
  for (const places of groups.values()) {
    let number = 0;
    for (const place of [...places].reverse()) {
      const head = heads[place]!;
      const chorded = child(head.element, "chord") !== null;
      numbered[place] = { ...head, grace: number - 1 };
      if (!chorded) number--;
    }
  }
  return numbered;
}

function tempoOf(element: Element): number | null {
  const sound = element.name === "sound" ? element : child(element, "sound");
  const said = Number(sound?.attributes["tempo"]);
  if (said > 0) return said;
  for (const type of childrenOf(element, "direction-type")) {
    const metronome = child(type, "metronome");
    if (!metronome) continue;
    const unit = UNITS[textOf(metronome, "beat-unit") ?? ""];
    const perMinute = Number(textOf(metronome, "per-minute"));
    if (unit && perMinute > 0) return perMinute * unit * (child(metronome, "beat-unit-dot") ? 1.5 : 1);
  }
  return null;
}
