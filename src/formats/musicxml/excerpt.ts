import { splice, type Edit } from "../xml/splice";
import { child, childrenOf, escapeXml, type Element } from "../xml/tree";
import type { Bar, Part, Score } from "./score";

/**
 * Bars of one part as a small score of their own, for the engraver: every note carries its id, digits are
 * taken out (they are drawn over the engraving), and what was in force before (key, time, clefs) stands at
 * the start. First and last by Bar.index.
 * @throws RangeError when the bars are not in the part
 */
export function excerpt(score: Score, part: Part, fromBar: number, toBar: number): string {
  const bars = part.bars.slice(fromBar - 1, toBar);
  const first = bars[0];
  if (!first || toBar > part.bars.length) throw new RangeError(`Bars ${fromBar} to ${toBar} are not in this part.`);
  const inForce = new InForce(score.text);
  for (const bar of part.bars.slice(0, fromBar - 1))
    for (const a of childrenOf(bar.element, "attributes")) inForce.take(a);
  const opening = openingAttributes(first.element);
  for (const attributes of opening) inForce.take(attributes);
  const measures = bars.map((bar) => measureText(score.text, bar, bar === first ? { opening, inForce } : null));
  return (
    `<?xml version="1.0" encoding="UTF-8"?><score-partwise version="4.0"><part-list><score-part id="P1"><part-name></part-name></score-part></part-list>` +
    `<part id="P1">${measures.join("")}</part></score-partwise>`
  );
}

/** Key, time, clefs and the like as they stand, in the order the format wants. */
class InForce {
  private readonly parts = new Map<string, string>();

  constructor(private readonly text: string) {}

  take(attributes: Element): void {
    for (const element of attributes.children) {
      if (!ORDER.includes(element.name)) continue;
      if (element.name === "key" || element.name === "time") this.forget(element.name, element.attributes["number"]);
      this.parts.set(
        `${element.name} ${element.attributes["number"] ?? ""}`,
        this.text.slice(element.start, element.end),
      );
    }
  }

  toString(): string {
    const sorted = [...this.parts].sort(
      ([a], [b]) => ORDER.indexOf(a.split(" ")[0]!) - ORDER.indexOf(b.split(" ")[0]!) || (a < b ? -1 : 1),
    );
    return `<attributes>${sorted.map(([, text]) => text).join("")}</attributes>`;
  }

  /** A key or time for all staves replaces those of single staves. */
  private forget(name: string, number: string | undefined): void {
    if (number !== undefined) return;
    for (const key of this.parts.keys()) if (key.startsWith(`${name} `)) this.parts.delete(key);
  }
}

const ORDER = ["divisions", "key", "time", "staves", "clef", "staff-details", "transpose"];

/** The attributes that stand before anything sounds. */
function openingAttributes(measure: Element): readonly Element[] {
  const sounding = measure.children.findIndex((c) => ["note", "backup", "forward"].includes(c.name));
  const before = sounding < 0 ? measure.children : measure.children.slice(0, sounding);
  return before.filter((c) => c.name === "attributes");
}

function measureText(text: string, bar: Bar, start: { opening: readonly Element[]; inForce: InForce } | null): string {
  const { element } = bar;
  const edits: Edit[] = [];
  for (const attributes of start?.opening ?? []) edits.push({ start: attributes.start, end: attributes.end, with: "" });
  if (start) edits.push({ start: element.inner, end: element.inner, with: start.inForce.toString() });
  for (const head of bar.heads) edits.push(...noteEdits(text, head.element, head.id));
  const named = new Set(bar.heads.map((head) => head.element));
  // An id that a rest or a grace of the file's own has could be that of one of our notes.
  for (const note of childrenOf(element, "note"))
    if (!named.has(note)) edits.push({ start: note.start, end: note.inner, with: withoutId(text, note) });
  for (const dropped of element.children.filter(isShownElsewhere))
    edits.push({ start: dropped.start, end: dropped.end, with: "" });
  const moved = edits.map((edit) => ({ ...edit, start: edit.start - element.start, end: edit.end - element.start }));
  return splice(text.slice(element.start, element.end), moved);
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

function noteEdits(text: string, note: Element, id: string): readonly Edit[] {
  const renamed = withoutId(text, note).replace(/^<note/, `<note id="${escapeXml(id)}"`);
  const digits = childrenOf(note, "notations").flatMap((n) => {
    const technical = child(n, "technical");
    return technical ? childrenOf(technical, "fingering") : [];
  });
  return [
    { start: note.start, end: note.inner, with: renamed },
    ...digits.map((d) => ({ start: d.start, end: d.end, with: "" })),
  ];
}
