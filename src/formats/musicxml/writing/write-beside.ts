import { escapeXml } from "../../xml/tree";
import { BRACE, excerptMembers } from "../engraving/excerpt";
import { partById } from "../parts";
import { readScore } from "../reading/open";

/** One reading of some bars: a whole score as it was written for it, and what it is called. */
export interface Reading {
  /** Over its staves; null where there is only this one. */
  readonly name: string | null;
  /** MusicXML text of the whole score. */
  readonly xml: string;
}

/** Which bars of which part, by Bar.index. */
export interface BarsAsked {
  readonly title: string;
  readonly partId: string;
  readonly fromBar: number;
  readonly toBar: number;
}

/**
 * Some bars of a score as a score of their own; several readings of them one under another, each a piano of its own that is
 * named for it, so that every reader shows whose digits are whose.
 * @throws RangeError where a reading cannot be read, or has no such part or bars
 */
export function writeBeside(readings: readonly Reading[], { title, partId, fromBar, toBar }: BarsAsked): string {
  const names: string[] = [];
  const parts: string[] = [];
  readings.forEach(({ name, xml }, i) => {
    const read = readScore(new TextEncoder().encode(xml));
    const part = read.ok ? partById(read.value, partId) : undefined;
    if (!read.ok || !part) throw new RangeError(`Reading ${name ?? i + 1} has no part ${partId}.`);
    const members = excerptMembers(read.value, part, fromBar, toBar, { named: false, digits: true });
    const called = escapeXml(name ?? part.name);
    const list = members.map(
      (_, k) => `<score-part id="R${i + 1}-${k + 1}"><part-name>${called}</part-name></score-part>`,
    );
    names.push(members.length === 1 ? list.join("") : `${BRACE}${list.join("")}<part-group type="stop" number="1"/>`);
    members.forEach((text, k) => parts.push(`<part id="R${i + 1}-${k + 1}">${text}</part>`));
  });
  return (
    `<?xml version="1.0" encoding="UTF-8"?>\n<score-partwise version="4.0"><work><work-title>${escapeXml(title)}</work-title></work>` +
    `<part-list>${names.join("")}</part-list>\n${parts.join("\n")}\n</score-partwise>\n`
  );
}
