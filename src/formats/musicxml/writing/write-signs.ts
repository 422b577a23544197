import type { SignPlaced } from "@/core/motion/marks/signs";
import type { NoteId } from "@/core/passage/note";
import type { Edit } from "../../xml/splice";
import { escapeXml } from "../../xml/tree";
import type { NoteHead, Part } from "../score";
import { firstOfChord, lastOfChord } from "./chord";

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
  const numbers = bracketNumbers(signs, heads);
  return signs.flatMap((sign): readonly Edit[] => {
    const place = heads.get(sign.note);
    if (!place) return [];
    const before = place.first.element.start;
    const last = sign.to === null ? undefined : heads.get(sign.to);
    if (sign.sign !== "group" || !last)
      return [at(before, direction(sign, place.head, `<words>${escapeXml(sign.words)}</words>`))];
    const [start, stop] = (["start", "stop"] as const).map(
      (type) => `<bracket type="${type}" number="${numbers.get(sign)}" line-end="${sign.above ? "down" : "up"}"/>`,
    ) as [string, string];
    return [
      at(before, direction(sign, place.head, start)),
      at(last.last.element.end, direction(sign, last.head, stop)),
    ];
  });
}

/** A number for each bracket: in the order of the file the least that no bracket which is still open has, so that none crosses another's. */
function bracketNumbers(
  signs: readonly SignPlaced[],
  heads: ReadonlyMap<NoteId, Place>,
): ReadonlyMap<SignPlaced, number> {
  const brackets = signs
    .flatMap((sign) => {
      const [from, to] = [heads.get(sign.note), sign.to === null ? undefined : heads.get(sign.to)];
      if (sign.sign !== "group" || !from || !to) return [];
      return [{ sign, start: from.first.element.start, end: to.last.element.end }];
    })
    .sort((a, b) => a.start - b.start);
  const open = new Map<number, number>();
  return new Map(
    brackets.map(({ sign, start, end }) => {
      let number = 1;
      while ((open.get(number) ?? -1) > start) number++;
      open.set(number, end);
      return [sign, number];
    }),
  );
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
