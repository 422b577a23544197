import type { SignPlaced } from "@/core/motion/marks/signs";
import type { NoteId } from "@/core/passage/note";
import type { Edit } from "../../xml/splice";
import { compare } from "@/core/time/beats";
import { escapeXml } from "../../xml/tree";
import type { NoteHead, Part } from "../score";
import { firstOfChord, lastOfChord } from "./chord";

/**
 * The signs of a hand plan as directions before their notes: a group as a bracket from its first note to behind its last,
 * every other sign as its words, over the staff or under it.
 */
export function signEdits(part: Part, signs: readonly SignPlaced[]): readonly Edit[] {
  const places = new Places(part);
  const brackets = numbered(signs.flatMap((sign) => places.bracketOf(sign) ?? []));
  const [starts, stops]: [Edit[], Edit[]] = [[], []];
  for (const { sign, from, to, number } of brackets) {
    const end = sign.above ? "down" : "up";
    const line = (type: string): string => `<bracket type="${type}" number="${number}" line-end="${end}"/>`;
    starts.push(at(from.first.element.start, direction(sign, from.head, line("start"))));
    stops.push(at(to.last.element.end, direction(sign, to.head, line("stop"))));
  }
  const words = signs.flatMap((sign): readonly Edit[] => {
    const place = places.of(sign.note);
    if (!place || places.bracketOf(sign)) return [];
    const before = place.first.element.start;
    return [at(before, direction(sign, place.head, `<words>${escapeXml(sign.words)}</words>`))];
  });
  // Where one bracket ends and another begins at one place, the end comes first.
  return [...stops, ...starts, ...words];
}

interface Bracket {
  readonly sign: SignPlaced;
  readonly from: Place;
  readonly to: Place;
}

/** Where the notes of a part stand in its file. */
class Places {
  private readonly heads = new Map<NoteId, Place>();
  /** Of each voice of each staff, in the order of the file. */
  private readonly voices = new Map<string, Place[]>();

  constructor(part: Part) {
    for (const bar of part.bars)
      bar.heads.forEach((head, i) => {
        const place = { head, first: firstOfChord(bar.heads, i), last: lastOfChord(bar.heads, i) };
        this.heads.set(head.id, place);
        const voice = `${head.staff} ${head.voice}`;
        const own = this.voices.get(voice);
        if (own) own.push(place);
        else this.voices.set(voice, [place]);
      });
  }

  of(note: NoteId): Place | undefined {
    return this.heads.get(note);
  }

  /**
   * From where to where a sign is a bracket; null where it is none. One whose last note stands before its first in the file,
   * as where it ends in another voice, ends with the last note of its own voice that is struck by then.
   */
  bracketOf(sign: SignPlaced): Bracket | null {
    const [from, last] = [this.of(sign.note), sign.to === null ? undefined : this.of(sign.to)];
    if (sign.sign !== "group" || !from || !last) return null;
    if (last.last.element.end > from.first.element.start) return { sign, from, to: last };
    const own = this.voices.get(`${from.head.staff} ${from.head.voice}`)!;
    const to = own.findLast(({ head }) => compare(head.onset, last.head.onset) <= 0);
    return { sign, from, to: to && to.last.element.end > from.first.element.start ? to : from };
  }
}

/** Each bracket with a number: in the order of the file the least that no bracket which is still open has, so that none crosses another's. */
function numbered(brackets: readonly Bracket[]): readonly (Bracket & { readonly number: number })[] {
  const open = new Map<number, number>();
  return [...brackets]
    .sort((a, b) => a.from.first.element.start - b.from.first.element.start)
    .map((bracket) => {
      let number = 1;
      while ((open.get(number) ?? -1) > bracket.from.first.element.start) number++;
      open.set(number, bracket.to.last.element.end);
      return { ...bracket, number };
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
