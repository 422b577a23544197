import { add, beats, ZERO, type Beats } from "@/core/time/beats";
import { refusal, remark, type FileIssue, type Read } from "../issue";
import { child, childrenOf, textOf, type Element } from "../xml/tree";
import { readBar, type Running } from "./read-bar";
import type { Bar, Part } from "./score";

export interface RootRead {
  readonly title: string | null;
  readonly parts: readonly Part[];
}

/** Reads the parts of a partwise score; says plainly what else it is otherwise. */
export function readRoot(root: Element): Read<RootRead> {
  if (root.name === "score-timewise") {
    return refusal(
      "timewise",
      "The score is written bar by bar (score-timewise); save it as a partwise score (score-partwise) and import that.",
    );
  }
  if (root.name !== "score-partwise")
    return refusal("not-musicxml", `The file is XML but not MusicXML: it begins with <${root.name}>.`);
  const issues: FileIssue[] = [];
  const names = partNames(root);
  const parts: Part[] = [];
  for (const element of childrenOf(root, "part")) {
    const id = element.attributes["id"] ?? `P${parts.length + 1}`;
    const part = readPart(element, id, names.get(id) ?? id, issues);
    if (!part.ok) return part;
    parts.push(part.value);
  }
  if (parts.length === 0) return refusal("no-parts", "The score holds no part.");
  if (!parts.some((part) => part.bars.some((bar) => bar.heads.length > 0)))
    return refusal("no-notes", "The score holds no notes.");
  return { ok: true, value: { title: titleOf(root), parts }, issues };
}

function readPart(element: Element, id: string, name: string, issues: FileIssue[]): Read<Part> {
  const running: Running = { divisions: null, length: beats(4), staves: 1, tempo: null, loudness: new Map() };
  const bars: Bar[] = [];
  let start: Beats = ZERO;
  for (const measure of childrenOf(element, "measure")) {
    const bar = readBar(measure, bars.length + 1, start, running, id);
    issues.push(...bar.issues);
    if (!bar.ok) return bar;
    bars.push(bar.value);
    start = add(start, bar.value.length);
  }
  if (bars.length === 0) issues.push(remark("no-bars", "A part holds no bars.", `part ${id}`));
  const staves = Math.max(running.staves, ...bars.flatMap((bar) => bar.heads.map((head) => head.staff)));
  return { ok: true, value: { id, name, staves, bars, tempo: running.tempo }, issues: [] };
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
