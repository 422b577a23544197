import type { Fingering } from "@/core/fingering/fingering";
import type { Side } from "@/core/hand/finger";
import type { NoteId } from "@/core/passage/note";
import { splice, type Edit } from "../xml/splice";
import { childrenOf, type Element } from "../xml/tree";
import { writePackage } from "../mxl/mxl";
import type { NoteHead, Part, Score } from "./score";

/**
 * The score with a fingering put on the notes it names: over the staff for the right hand, under it for the
 * left, each digit in its own note of a chord. A printed digit of those notes gives way; a note fingered with
 * null loses its digit. Every other character of the file stays as it was.
 */
export function writeFingering(score: Score, part: Part, fingering: Fingering, handOf: (note: NoteId) => Side): string {
  const edits: Edit[] = [];
  for (const bar of part.bars) {
    for (const head of bar.heads) {
      if (!(head.id in fingering)) continue;
      const finger = fingering[head.id]!;
      edits.push(...editsFor(score.text, head, finger === null ? "" : digit(finger, handOf(head.id))));
    }
  }
  return withUtf8Label(splice(score.text, edits));
}

/** The same as bytes: a compressed score if it came compressed, else plain text in UTF-8. */
export function writeFile(score: Score, xml: string): Uint8Array {
  return score.package ? writePackage(score.package, xml) : new TextEncoder().encode(xml);
}

function digit(finger: number, side: Side): string {
  return `<fingering placement="${side === "right" ? "above" : "below"}">${finger}</fingering>`;
}

function editsFor(text: string, { element }: NoteHead, written: string): readonly Edit[] {
  const notations = childrenOf(element, "notations");
  const technicals = notations.flatMap((n) => childrenOf(n, "technical"));
  const [first, ...others] = technicals.flatMap((t) => childrenOf(t, "fingering"));
  if (first)
    return [
      { start: first.start, end: first.end, with: written },
      ...others.map((o) => ({ start: o.start, end: o.end, with: "" })),
    ];
  if (written === "") return [];
  if (technicals[0]) return [intoEnd(text, technicals[0], written)];
  const technical = `<technical>${written}</technical>`;
  if (notations[0]) return [intoEnd(text, notations[0], technical)];
  const before = element.children.find((c) => ["lyric", "play", "listen"].includes(c.name));
  const at = before ? before.start : afterLastChild(element);
  return [{ start: at, end: at, with: `<notations>${technical}</notations>` }];
}

function afterLastChild(element: Element): number {
  return element.children.at(-1)?.end ?? element.innerEnd;
}

/** Puts text behind the last child of an element, opening an empty-element tag if need be. */
function intoEnd(text: string, element: Element, inner: string): Edit {
  if (!element.selfClosing) {
    const at = afterLastChild(element);
    return { start: at, end: at, with: inner };
  }
  const tag = text.slice(element.start, element.end).replace(/\s*\/>$/, ">");
  return { start: element.start, end: element.end, with: `${tag}${inner}</${element.name}>` };
}

/** What is written is UTF-8; a label that says otherwise would make the file unreadable. */
function withUtf8Label(text: string): string {
  return text.replace(
    /^(<\?xml[^>]*encoding\s*=\s*["'])([^"']+)(["'])/,
    (all, before: string, label: string, after: string) =>
      label.toLowerCase() === "utf-8" ? all : `${before}UTF-8${after}`,
  );
}
