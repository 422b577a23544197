import type { Entry } from "@/core/entry/entry";
import type { NoteId } from "@/core/passage/note";
import type { DrillWritten } from "@/core/practice/music";
import { excerpt } from "@/formats/musicxml/engraving/excerpt";
import { readScore } from "@/formats/musicxml/reading/open";
import { pianoPart } from "@/formats/musicxml/parts";
import { passageFrom } from "@/formats/musicxml/passage";
import { writeFingering } from "@/formats/musicxml/writing/write-fingering";
import { writeEntry } from "@/formats/musicxml/writing/write-entry";
import { engraverOptions, type DrillScore, type Engraved, type Engraver, type EngravingAsked } from "./engraver";

/** The few calls of the engraving library that are used. */
export interface Toolkit {
  setOptions(options: Readonly<Record<string, unknown>>): void;
  resetXmlIdSeed(seed: number): void;
  loadData(music: string): boolean | number;
  getPageCount(): number;
  renderToSVG(page: number): string;
}

/**
 * Engraves with a toolkit that is ready some time. Between one drawing and the next, and from line to line, newer
 * questions are let in: what is no longer wanted is given up there, and what waits and is overtaken is never begun.
 * @param breathe lets waiting messages in: a macrotask in the worker
 */
export function engraverService(ready: Promise<Toolkit>, breathe: () => Promise<void>): Engraver {
  const tickets = new Map<string, number>();
  const take = (place: string): number => {
    const ticket = (tickets.get(place) ?? 0) + 1;
    tickets.set(place, ticket);
    return ticket;
  };
  let last: Promise<unknown> = Promise.resolve();
  const inTurn = (place: string, music: () => EngravingAsked): Promise<Engraved> => {
    const ticket = take(place);
    const isWanted = (): boolean => tickets.get(place) === ticket;
    const answer = last.then(() => engraved(music, isWanted));
    // One music is loaded at a time; whether it fails is told to who asked for it.
    last = answer.catch(() => undefined);
    return answer;
  };
  async function engraved(music: () => EngravingAsked, isWanted: () => boolean): Promise<Engraved> {
    const toolkit = await ready;
    await breathe();
    if (!isWanted()) return null;
    const asked = music();
    toolkit.setOptions(engraverOptions(asked));
    toolkit.resetXmlIdSeed(1);
    if (!toolkit.loadData(asked.music)) throw new Error("The music could not be engraved.");
    const lines: string[] = [];
    for (let page = 1; page <= toolkit.getPageCount(); page++) {
      if (page > 1 && page % LINES_A_BREATH === 1) await breathe();
      if (!isWanted()) return null;
      lines.push(toolkit.renderToSVG(page));
    }
    return lines;
  }
  return {
    engrave: (asked, place) => inTurn(place, () => asked),
    engraveEntry: (entry, asked, place) => inTurn(place, () => ({ ...asked, music: musicOf(entry) })),
    leave: (place) => void take(place),
    drillScore: (drill) => Promise.resolve(drillScore(drill)),
  };
}

/** A drill as a score: engraved like any other, with its digits in the file that leaves the tool. */
function drillScore({ entry, digits }: DrillWritten): DrillScore {
  const text = writeEntry(entry);
  const read = readScore(new TextEncoder().encode(text));
  if (!read.ok) throw new Error(`This drill cannot be written: ${read.issues[0]!.message}`);
  const part = pianoPart(read.value);
  const handOf = (note: NoteId) => (note.includes("-s1-") ? "right" : "left");
  return {
    music: excerpt(read.value, part, 1, entry.bars.length),
    notes: passageFrom(part, 1, entry.bars.length, "both").notes,
    file: writeFingering(read.value, part, { fingering: digits, handOf }),
  };
}

/** Lines drawn from one look at whether they are still wanted to the next. */
const LINES_A_BREATH = 4;

/** As long as there is no note, there is none to name. */
function musicOf(entry: Entry): string {
  const text = writeEntry(entry);
  const read = readScore(new TextEncoder().encode(text));
  return read.ok ? excerpt(read.value, pianoPart(read.value), 1, entry.bars.length) : text;
}
