import type { Fingering } from "@/core/fingering/study/fingering";
import type { Side } from "@/core/hand/finger";
import type { NoteId } from "@/core/passage/note";
import type { SignPlaced } from "@/core/motion/marks/signs";
import type { NoteRemedies } from "@/core/passage/remedied";
import { splice, type Edit } from "../../xml/splice";
import { childrenOf, type Element } from "../../xml/tree";
import { marksOf, NO_MARKS, type Marks } from "./write-remedy";
import { signEdits } from "./write-signs";
import { writePackage } from "../../mxl/mxl";
import type { NoteHead, Part, Score } from "../score";

/** What is to be written for a passage. */
export interface Written {
  readonly fingering: Fingering;
  readonly handOf: (note: NoteId) => Side;
  readonly remedies?: NoteRemedies;
  /** Signs of the hand plan. */
  readonly signs?: readonly SignPlaced[];
}

/**
 * The score with a fingering put on the notes it names: over the staff for the right hand, under it for the
 * left, each digit in its own note of a chord. A printed digit of those notes gives way; a note fingered with
 * null loses its digit. Notes with a chosen remedy are marked with it. Every other character stays as it was.
 */
export function writeFingering(
  score: Score,
  part: Part,
  { fingering, handOf, remedies = {}, signs = [] }: Written,
): string {
  const edits: Edit[] = [...signEdits(part, signs)];
  for (const bar of part.bars) {
    for (const head of bar.heads) {
      const marks = marksOf(head, bar.heads, remedies, part.staves === 2 && part.members.length === 1);
      const finger = fingering[head.id];
      const digits = finger === undefined ? undefined : finger === null ? "" : digit(finger, handOf(head.id));
      if (digits === undefined && marks === NO_MARKS) continue;
      edits.push(...marks.edits, ...editsFor(score.text, head, digits, marks));
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

/** @param digits undefined leaves what is printed */
function editsFor(text: string, { element }: NoteHead, digits: string | undefined, marks: Marks): readonly Edit[] {
  const notations = childrenOf(element, "notations");
  const technicals = notations.flatMap((n) => childrenOf(n, "technical"));
  const printed = digits === undefined ? [] : technicals.flatMap((t) => childrenOf(t, "fingering"));
  const edits: Edit[] = printed.map((p, i) => ({ start: p.start, end: p.end, with: i === 0 ? digits! : "" }));
  const technical = printed.length > 0 ? "" : (digits ?? "");
  const intoTechnical = technical !== "" && technicals[0] !== undefined;
  if (intoTechnical) edits.push(intoEnd(text, technicals[0]!, technical));
  const notation = `${technical === "" || intoTechnical ? "" : `<technical>${technical}</technical>`}${marks.notation}`;
  if (notation === "") return edits;
  if (notations[0]) return [...edits, intoEnd(text, notations[0], notation)];
  const before = element.children.find((c) => ["lyric", "play", "listen"].includes(c.name));
  const at = before ? before.start : afterLastChild(element);
  return [...edits, { start: at, end: at, with: `<notations>${notation}</notations>` }];
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
