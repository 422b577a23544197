import { EMPTY_BAR, type Entry } from "@/core/entry/entry";

/** Nothing entered yet. */
export const NEW_ENTRY: Entry = { title: "", fifths: 0, time: [4, 4], tempo: 80, bars: [EMPTY_BAR] };
