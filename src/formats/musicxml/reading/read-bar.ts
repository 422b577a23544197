import { add, compare, beats, denominatorOf, later, subtract, ZERO, type Beats } from "@/core/time/beats";
import { refusal, remark, type Read } from "../../issue";
import { child, childrenOf, textOf, type Element } from "../../xml/tree";
import type { Bar, NoteHead } from "../score";
import { durationOf, shown, type Growing, type Running } from "./growing";
import { LIMITS } from "./limits";
import { metreOf } from "./metre";
import { wholeIn } from "./numbers";
import { readDynamics } from "./read-character";
import { readNote } from "./read-note";
import { directionBeat, statesTempo, tempoOf } from "./tempo";
import { transpositionOf } from "./transposition";

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
