import { COMMON_METRE } from "@/core/passage/metre";
import { add, ZERO, type Beats } from "@/core/time/beats";
import { refusal, remark, type FileIssue, type Read } from "../../issue";
import { child, childrenOf, textOf, type Element } from "../../xml/tree";
import { handsOfCrossingChords } from "./crossing";
import { LIMITS } from "./limits";
import { openTiesJoined } from "./open-ties";
import type { Running } from "./growing";
import { readBar } from "./read-bar";
import type { Bar, Part, Score } from "../score";
import type { TempoMark } from "./tempo";
import { partwise } from "./timewise";

export type RootRead = Pick<Score, "title" | "parts" | "tempi" | "root">;

/** Reads the parts of a score, written part by part or bar by bar; says plainly what else it is otherwise. */
export function readRoot(given: Element): Read<RootRead> {
  const root = given.name === "score-timewise" ? partwise(given) : given;
  if (root.name !== "score-partwise")
    return refusal("not-musicxml", `The file is XML but not MusicXML: it begins with <${root.name}>.`);
  const elements = childrenOf(root, "part");
  const notes = elements.reduce((sum, part) => sum + notesIn(part), 0);
  if (notes > LIMITS.notes)
    return refusal(
      "too-large",
      `The score holds ${notes.toLocaleString("en")} notes, more than the ${LIMITS.notes.toLocaleString("en")} that are read.`,
    );
  const issues: FileIssue[] = [];
  const names = partNames(root);
  const parts: Part[] = [];
  const tempi: TempoMark[] = [];
  for (const element of elements) {
    const id = element.attributes["id"] ?? `P${parts.length + 1}`;
    const part = readPart(element, id, names.get(id) ?? id, issues, tempi);
    if (!part.ok) return part;
    parts.push(part.value);
  }
  if (parts.length === 0) return refusal("no-parts", "The score holds no part.");
  if (!parts.some((part) => part.bars.some((bar) => bar.heads.length > 0)))
    return refusal("no-notes", "The score holds no notes.");
  return { ok: true, value: { root, title: titleOf(root), parts, tempi }, issues };
}

function notesIn(part: Element): number {
  let count = 0;
  for (const measure of part.children) for (const { name } of measure.children) if (name === "note") count++;
  return count;
}

function readPart(element: Element, id: string, name: string, issues: FileIssue[], tempi: TempoMark[]): Read<Part> {
  const running: Running = {
    divisions: null,
    metre: COMMON_METRE,
    staves: 1,
    tempo: null,
    tempi,
    loudness: new Map(),
    transpositions: new Map(),
  };
  const read: Bar[] = [];
  let start: Beats = ZERO;
  for (const measure of childrenOf(element, "measure")) {
    const bar = readBar(measure, read.length + 1, start, running, id);
    for (const issue of bar.issues) issues.push(issue);
    if (!bar.ok) return bar;
    read.push(bar.value);
    start = add(start, bar.value.length);
  }
  if (read.length === 0) issues.push(remark("no-bars", "A part holds no bars.", `part ${id}`));
  const tied = openTiesJoined(read, id);
  const staves = read.reduce(
    (most, bar) => bar.heads.reduce((m, head) => Math.max(m, head.staff), most),
    running.staves,
  );
  const handed = staves === 2 ? handsOfCrossingChords(tied.bars, id) : { bars: tied.bars, issues: [] };
  for (const issue of [...tied.issues, ...handed.issues]) issues.push(issue);
  return { ok: true, value: { id, name, staves, bars: handed.bars, members: [id] }, issues: [] };
}

function partNames(root: Element): ReadonlyMap<string, string> {
  const list = child(root, "part-list");
  const scoreParts = list ? childrenOf(list, "score-part") : [];
  return new Map(scoreParts.map((part) => [part.attributes["id"] ?? "", textOf(part, "part-name") ?? ""]));
}

function titleOf(root: Element): string | null {
  const work = child(root, "work");
  return (work && textOf(work, "work-title")) || textOf(root, "movement-title") || null;
}
