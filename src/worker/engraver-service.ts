import type { Entry } from "@/core/entry/entry";
import type { NoteId } from "@/core/passage/note";
import type { DrillWritten } from "@/core/practice/music";
import type { Engraved, EngravingAsked } from "@/formats/musicxml/engraving/engrave";
import { entryMusic } from "@/formats/musicxml/engraving/entry-music";
import { excerpt } from "@/formats/musicxml/engraving/excerpt";
import { pianoPart } from "@/formats/musicxml/parts";
import { passageFrom } from "@/formats/musicxml/passage";
import { readScore } from "@/formats/musicxml/reading/open";
import { writeEntry } from "@/formats/musicxml/writing/write-entry";
import { writeFingering } from "@/formats/musicxml/writing/write-fingering";
import type { Draw } from "./draw";
import type { DrillScore, Engraver } from "./engraver";

/**
 * Draws one music after another. A newer question for the same place overtakes: what is being drawn is given up, and what
 * waits is never begun.
 */
export function engraverService(draw: Draw): Engraver {
  const wanted = new Map<string, AbortController>();
  const leave = (place: string): void => {
    wanted.get(place)?.abort();
    wanted.delete(place);
  };
  let last: Promise<unknown> = Promise.resolve();
  const inTurn = (place: string, asked: () => EngravingAsked): Promise<Engraved> => {
    leave(place);
    const overtaken = new AbortController();
    wanted.set(place, overtaken);
    const { signal } = overtaken;
    const answer = last.then(() => (signal.aborted ? null : draw(asked(), signal)));
    // One music is drawn at a time; whether it fails is told to who asked for it.
    last = answer.catch(() => undefined);
    return answer;
  };
  return {
    engrave: (asked, place) => inTurn(place, () => asked),
    engraveEntry: (entry: Entry, asked, place) => inTurn(place, () => ({ ...asked, music: entryMusic(entry) })),
    leave,
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
