import { add, compare, subtract, type Beats } from "@/core/time/beats";
import type { Edit } from "../../xml/splice";
import { child, textOf, type Element } from "../../xml/tree";
import { beginningOf } from "../reading/metre";
import type { Bar, NoteHead } from "../score";

/** Kinds of notes that carry flags, and so may stand under a beam. */
const FLAGGED = ["eighth", "16th", "32nd", "64th", "128th"];
/** What follows a beam in a note. */
const AFTER_BEAM = ["notations", "lyric", "play", "listen"];

/**
 * Beams for a bar of a file that has none: over notes of a voice that follow one another within a beat of its metre.
 * @param i place of the bar in bars
 * @param measure the element whose notes are beamed
 */
export function beamEdits(bars: readonly Bar[], i: number, measure: Element): readonly Edit[] {
  const bar = bars[i]!;
  const from = beginningOf(bars, i);
  const voices = new Map<string, NoteHead[]>();
  for (const head of bar.heads) {
    const isWithin = head.element.start >= measure.start && head.element.end <= measure.end;
    if (!isWithin || head.grace !== 0 || child(head.element, "chord")) continue;
    const key = `${head.staff} ${head.voice}`;
    voices.set(key, [...(voices.get(key) ?? []), head]);
  }
  return [...voices.values()].flatMap((heads) =>
    groupsOf(heads, (head) => beatAt(bar, from, head)).flatMap((group) =>
      group.map(({ element }, place) => {
        const kind = place === 0 ? "begin" : place === group.length - 1 ? "end" : "continue";
        const next = element.children.find((c) => AFTER_BEAM.includes(c.name));
        const at = next?.start ?? element.children.at(-1)?.end ?? element.innerEnd;
        return { start: at, end: at, with: `<beam number="1">${kind}</beam>` };
      }),
    ),
  );
}

/** Runs of two or more flagged notes without a gap, each within one beat. */
function groupsOf(heads: readonly NoteHead[], beatOf: (head: NoteHead) => number): readonly (readonly NoteHead[])[] {
  const groups: NoteHead[][] = [];
  let last: NoteHead | null = null;
  for (const head of heads) {
    const isFlagged = FLAGGED.includes(textOf(head.element, "type") ?? "");
    const goesOn = last !== null && isFlagged && endOf(last) === head.onset && beatOf(last) === beatOf(head);
    if (goesOn) groups.at(-1)!.push(head);
    else if (isFlagged) groups.push([head]);
    last = isFlagged ? head : null;
  }
  return groups.filter((group) => group.length > 1);
}

function endOf({ onset, duration }: NoteHead): Beats {
  return add(onset, duration);
}

function beatAt({ start, metre }: Bar, from: Beats, { onset }: NoteHead): number {
  const place = add(subtract(onset, start), from);
  return metre.beats.findLastIndex((beat) => compare(beat, place) <= 0);
}
