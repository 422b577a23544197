import type { NoteId } from "../../passage/note";
import { HEARD } from "../../physics";
import type { OnsetHeard } from "../heard";
import { lineThrough, spreadOf } from "../statistics";
import type { TakeFigure } from "./figure";

/**
 * How unevenly notes follow one another: the spread of the times between onsets within each group, once the group's own tempo
 * is taken out, so that playing freely from group to group is no fault; bar by bar, position by position and figure by figure as well. Groups with a free place are left out.
 */
export const evenness: TakeFigure = {
  id: "evenness",
  label: "Unevenness within groups",
  unit: "ms",
  find({ struck, groups, positions, figures }) {
    const heard = new Map(struck.map((onset) => [onset.expected.index, onset]));
    const all: { bar: string; note: OnsetHeard; off: number }[] = [];
    for (const group of groups) {
      const inGroup = group.flatMap((index) => heard.get(index) ?? []);
      if (inGroup.length < HEARD.leastInGroup || inGroup.some(({ isFree }) => isFree)) continue;
      const { from, slope } = lineThrough(inGroup.map(({ expected, ms }) => [expected.at, ms]));
      const off = inGroup.map(({ expected, ms }) => ms - from - slope * expected.at);
      inGroup.slice(1).forEach((note, i) => all.push({ bar: note.expected.bar, note, off: off[i + 1]! - off[i]! }));
    }
    if (all.length < 2) return null;
    const spreadWhere = (isIn: (one: (typeof all)[number]) => boolean): number =>
      spreadOf(all.filter(isIn).map(({ off }) => off));
    const spreadOver = (notes: readonly NoteId[]): number => {
      const own = new Set(notes);
      return spreadWhere(({ note }) => note.expected.notes.some((n) => n.notes.some((id) => own.has(id))));
    };
    return {
      amount: spreadOf(all.map(({ off }) => off)),
      places: all.map(({ note, off }) => ({ note: note.expected.notes[0]!.id, amount: Math.abs(off) })),
      parts: Object.fromEntries([
        ...[...new Set(all.map(({ bar }) => bar))].map((bar) => [`bar ${bar}`, spreadWhere((one) => one.bar === bar)]),
        ...positions.map(({ notes }, i) => [`position ${i + 1}`, spreadOver(notes)]),
        ...figures.map(({ notes }, i) => [`figure ${i + 1}`, spreadOver(notes)]),
      ]),
    };
  },
};
