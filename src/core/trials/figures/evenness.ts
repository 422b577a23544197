import { HEARD } from "../../physics";
import type { OnsetHeard } from "../heard";
import { lineThrough, spreadOf } from "../statistics";
import type { TakeFigure } from "./figure";

/**
 * How unevenly notes follow one another: the spread of the times between onsets within each group, once the group's own tempo
 * is taken out, so that playing freely from group to group is no fault. Groups with a free place are left out.
 */
export const evenness: TakeFigure = {
  id: "evenness",
  label: "Unevenness within groups",
  unit: "ms",
  find({ struck, groups }) {
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
    const bars = [...new Set(all.map(({ bar }) => bar))];
    return {
      amount: spreadOf(all.map(({ off }) => off)),
      places: all.map(({ note, off }) => ({ note: note.expected.notes[0]!.id, amount: Math.abs(off) })),
      parts: Object.fromEntries(
        bars.map((bar) => [bar, spreadOf(all.filter((one) => one.bar === bar).map(({ off }) => off))]),
      ),
    };
  },
};
