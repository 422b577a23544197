import type { Entry } from "@/core/entry/entry";
import { pianoPart } from "../parts";
import { readScore } from "../reading/open";
import { writeEntry } from "../writing/write-entry";
import { excerpt } from "./excerpt";

/** Music entered step by step, as the engraver takes it. As long as there is no note, there is none to name. */
export function entryMusic(entry: Entry): string {
  const text = writeEntry(entry);
  const read = readScore(new TextEncoder().encode(text));
  return read.ok ? excerpt(read.value, pianoPart(read.value), 1, entry.bars.length) : text;
}
