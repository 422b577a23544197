import { EMPTY_BAR, spelled, type Entry, type Item } from "@/core/entry/entry";
import type { Base } from "@/core/entry/length";
import type { EngravingAsked } from "./engrave";

const EMPTY: Entry = { title: "", fifths: -3, time: [4, 4], tempo: 90, bars: [EMPTY_BAR] };

function item(keys: readonly number[], base: Base, tied = false): Item {
  return {
    id: `${base}-${keys.join("-")}`,
    pitches: spelled(EMPTY, keys),
    length: { base, dotted: false, tuplet: null },
    tied,
  };
}

const RUN = [60, 61, 63, 65, 67, 68, 71, 72, 73, 75, 78, 80, 77, 74, 70, 66].map((key) => item([key], 16));
const HELD = [[36, 48], [41, 51, 56], [], [43, 55]].map((keys, i) => item(keys, 4, i === 0));

/** Music with what most pages have: sixteenths under beams, accidentals, chords, a tie, a rest, two staves. */
export const WARM_UP: Entry = { ...EMPTY, bars: Array.from({ length: 6 }, () => [RUN, [], HELD, []] as const) };

/** About as wide as a page, so that lines are broken. */
export const WARM_UP_ASKED: Omit<EngravingAsked, "music"> = { width: 900, scale: 42, rows: 2 };
