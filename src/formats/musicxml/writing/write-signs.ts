import type { SignPlaced } from "@/core/motion/marks/signs";
import type { NoteId } from "@/core/passage/note";
import type { Edit } from "../../xml/splice";
import { childrenOf, escapeXml } from "../../xml/tree";
import type { NoteHead, Part } from "../score";

/**
 * The signs of a hand plan as directions before their notes: a group as a bracket from its first note to behind its last,
 * every other sign as its words, over the staff or under it.
 */
export function signEdits(part: Part, signs: readonly SignPlaced[]): readonly Edit[] {
  const heads = new Map<NoteId, Place>();
  for (const bar of part.bars)
    bar.heads.forEach((head, i) =>
      heads.set(head.id, { head, first: firstOfChord(bar.heads, i), last: lastOfChord(bar.heads, i) }),
    );
  return signs.flatMap((sign): readonly Edit[] => {
    const place = heads.get(sign.note);
    if (!place) return [];
    const before = place.first.element.start;
    const last = sign.to === null ? undefined : heads.get(sign.to);
    if (sign.sign !== "group" || !last)
      return [at(before, direction(sign, place.head, `<words>${escapeXml(sign.words)}</words>`))];
    const [start, stop] = (["start", "stop"] as const).map(
      (type) =>
        `<bracket type="${type}" number="${sign.side === "right" ? 1 : 2}" line-end="${sign.above ? "down" : "up"}"/>`,
    ) as [string, string];
    return [
      at(before, direction(sign, place.head, start)),
      at(last.last.element.end, direction(sign, last.head, stop)),
    ];
  });
}

interface Place {
  readonly head: NoteHead;
  readonly first: NoteHead;
  readonly last: NoteHead;
}

function at(place: number, text: string): Edit {
  return { start: place, end: place, with: text };
}

function direction({ above }: SignPlaced, { home, voice }: NoteHead, type: string): string {
  return (
    `<direction placement="${above ? "above" : "below"}"><direction-type>${type}</direction-type>` +
    `<voice>${escapeXml(voice)}</voice><staff>${home}</staff></direction>`
  );
}

/** Nothing may stand between the notes of a chord. */
function firstOfChord(heads: readonly NoteHead[], i: number): NoteHead {
  while (i > 0 && isChordNote(heads[i]!)) i--;
  return heads[i]!;
}

function lastOfChord(heads: readonly NoteHead[], i: number): NoteHead {
  while (i + 1 < heads.length && isChordNote(heads[i + 1]!)) i++;
  return heads[i]!;
}

function isChordNote({ element }: NoteHead): boolean {
  return childrenOf(element, "chord").length > 0;
}
