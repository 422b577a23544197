import { splice, type Edit } from "../../xml/splice";
import { child, childrenOf, escapeXml, type Element } from "../../xml/tree";
import { beamEdits } from "./auto-beams";
import { InForce } from "./in-force";
import { OpenLines } from "./open-lines";
import type { Bar, Part, Score } from "../score";

/**
 * Bars of one part as a small score of their own, for the engraver: every note carries its id, digits are
 * taken out (they are drawn over the engraving), and what was in force before (key, time, clefs, lines over the staff)
 * stands at the start. Two parts that are a piano together stay two, under one brace. Where the file has no beams, they
 * go by the beats. First and last by Bar.index.
 * @throws RangeError when the bars are not in the part
 */
export function excerpt(score: Score, part: Part, fromBar: number, toBar: number): string {
  const members = excerptMembers(score, part, fromBar, toBar, FOR_ENGRAVER);
  const named = members.map((_, i) => `<score-part id="P${i + 1}"><part-name></part-name></score-part>`).join("");
  const list = members.length === 1 ? named : `${BRACE}${named}<part-group type="stop" number="1"/>`;
  return (
    `<?xml version="1.0" encoding="UTF-8"?><score-partwise version="4.0"><part-list>${list}</part-list>` +
    `${members.map((text, i) => `<part id="P${i + 1}">${text}</part>`).join("")}</score-partwise>`
  );
}

/** What is done to the notes of an excerpt. */
interface Handled {
  /** Every note carries its id. */
  readonly named: boolean;
  /** Digits stay where they are. */
  readonly digits: boolean;
}

const FOR_ENGRAVER: Handled = { named: true, digits: false };

/**
 * The same bars of each member of a part, as the inside of a part of another score.
 * @throws RangeError when the bars are not in the part
 */
export function excerptMembers(
  score: Score,
  part: Part,
  fromBar: number,
  toBar: number,
  handled: Handled,
): readonly string[] {
  if (!(fromBar >= 1 && fromBar <= toBar && toBar <= part.bars.length))
    throw new RangeError(`Bars ${fromBar} to ${toBar} are not in this part.`);
  return part.members.map((_, member) => memberText(score, part, member, [fromBar, toBar], handled));
}

/** Staves of two parts that are one piano. */
export const BRACE = `<part-group type="start" number="1"><group-symbol>brace</group-symbol><group-barline>yes</group-barline></part-group>`;

function memberText(
  score: Score,
  part: Part,
  member: number,
  [fromBar, toBar]: readonly [number, number],
  handled: Handled,
): string {
  const inForce = new InForce(score.text);
  const lines = new OpenLines(score.text);
  for (const bar of part.bars.slice(0, fromBar - 1)) {
    const measure = bar.elements[member]!;
    for (const attributes of childrenOf(measure, "attributes")) inForce.take(attributes);
    lines.take(measure);
  }
  const bars = part.bars.slice(fromBar - 1, toBar);
  const opening = openingAttributes(bars[0]!.elements[member]!);
  for (const attributes of opening) inForce.take(attributes);
  const begun = `${inForce.toString()}${lines.begun()}`;
  for (const bar of bars) lines.take(bar.elements[member]!);
  const hasBeams = score.text.includes("<beam");
  const from = fromBar - 1;
  return bars
    .map((bar, i) => {
      const beams = hasBeams ? [] : beamEdits(part.bars, from + i, bar.elements[member]!);
      const start = i === 0 ? { opening, text: begun } : null;
      const ending = i === bars.length - 1 ? lines.ended() : "";
      return measureText(score.text, bar, member, { start, beams, ending, handled });
    })
    .join("");
}

/** The attributes that stand before anything sounds. */
function openingAttributes(measure: Element): readonly Element[] {
  const sounding = measure.children.findIndex((c) => ["note", "backup", "forward"].includes(c.name));
  const before = sounding < 0 ? measure.children : measure.children.slice(0, sounding);
  return before.filter((c) => c.name === "attributes");
}

interface Start {
  readonly opening: readonly Element[];
  readonly text: string;
}

interface Around {
  readonly start: Start | null;
  readonly beams: readonly Edit[];
  readonly ending: string;
  readonly handled: Handled;
}

function measureText(text: string, bar: Bar, member: number, { start, beams, ending, handled }: Around): string {
  const element = bar.elements[member]!;
  const edits: Edit[] = [...beams];
  for (const attributes of start?.opening ?? []) edits.push({ start: attributes.start, end: attributes.end, with: "" });
  const heads = bar.heads.filter((head) => isIn(head.element, element));
  for (const head of heads) edits.push(...noteEdits(text, head.element, head.id, handled));
  const named = new Set(heads.map((head) => head.element));
  // An id that a rest or a grace of the file's own has could be that of one of our notes.
  for (const note of childrenOf(element, "note"))
    if (!named.has(note)) edits.push({ start: note.start, end: note.inner, with: withoutId(text, note) });
  for (const dropped of element.children.filter(isShownElsewhere))
    edits.push({ start: dropped.start, end: dropped.end, with: "" });
  const moved = edits.map((edit) => ({ ...edit, start: edit.start - element.inner, end: edit.end - element.inner }));
  const implicit = bar.implicit ? ` implicit="yes"` : "";
  const inner = splice(text.slice(element.inner, element.innerEnd), moved);
  return `<measure number="${escapeXml(bar.number)}"${implicit}>${start?.text ?? ""}${inner}${ending}</measure>`;
}

function isIn(element: Element, around: Element): boolean {
  return element.start >= around.start && element.end <= around.end;
}

/** Line breaks of the file, and the metronome mark, which stands in the passage's title. */
function isShownElsewhere(element: Element): boolean {
  if (element.name === "print") return true;
  return (
    element.name === "direction" &&
    childrenOf(element, "direction-type").some((type) => child(type, "metronome") !== null)
  );
}

/** A note's own tag without the id it came with. */
function withoutId(text: string, note: Element): string {
  return text.slice(note.start, note.inner).replace(/\sid\s*=\s*("[^"]*"|'[^']*')/, "");
}

function noteEdits(text: string, note: Element, id: string, { named, digits: kept }: Handled): readonly Edit[] {
  const bare = withoutId(text, note);
  const renamed = named ? bare.replace(/^<note/, `<note id="${escapeXml(id)}"`) : bare;
  if (kept) return [{ start: note.start, end: note.inner, with: renamed }];
  const digits = childrenOf(note, "notations").flatMap((n) => {
    const technical = child(n, "technical");
    return technical ? childrenOf(technical, "fingering") : [];
  });
  return [
    { start: note.start, end: note.inner, with: renamed },
    ...digits.map((d) => ({ start: d.start, end: d.end, with: "" })),
  ];
}
