import type { SignsShown } from "@/core/motion/marks/signs";
import type { Db } from "@/db/client";
import type { FingeringKept } from "@/db/queries/fingerings";
import { fingeringById } from "@/db/queries/fingerings";
import { sourceOf } from "@/db/queries/pieces";
import { takeById } from "@/db/queries/takes";
import { passageGiven, type PassageGiven } from "../passages/passage-given";
import { inThread } from "../threads/pool";
import type { Given } from "../threads/tasks";
import { takeOf } from "../trials/takes";

export interface Exported {
  readonly bytes: Uint8Array;
  readonly fileName: string;
  readonly type: string;
}

/** Which digits are written: all of them, or those that a pianist would write; see core/fingering/explain/in-doubt. */
export const DIGITS_WRITTEN = ["all", "doubt"] as const;
export type DigitsWritten = (typeof DIGITS_WRITTEN)[number];

/** What an option is written into: the whole piece's own file, its passage alone, or the passage as MIDI. */
export const FILES_WRITTEN = ["piece", "passage", "midi"] as const;
export type FileWanted = (typeof FILES_WRITTEN)[number];

const MUSICXML = "application/vnd.recordare.musicxml+xml";
const PACKED = "application/vnd.recordare.musicxml";
const MIDI = "audio/midi";

/** An option as a file; null when there is no such option. */
export async function exportOption(
  db: Db,
  fingeringId: string,
  written: DigitsWritten = "all",
  signs: SignsShown = "own",
  file: FileWanted = "piece",
): Promise<Exported | null> {
  const option = await fingeringById(db, fingeringId);
  const given = option && (await passageGiven(db, option.passageId));
  if (!option || !given) return null;
  const bars = await barsOf(db, given);
  const asked = optionAsked(given, option, written, signs);
  if (file === "piece") {
    const { bytes, isPacked } = await inThread("exportedFile", { ...bars, ...asked });
    const fileName = `${stemOf(given)}, fingering ${option.name}.${isPacked ? "mxl" : "musicxml"}`;
    return { bytes, fileName, type: isPacked ? PACKED : MUSICXML };
  }
  const title = `${given.piece.title}: ${given.passage.title}`;
  const one = { ...bars, title, options: [{ ...asked, name: option.name }] };
  const stem = `${stemOf(given)}, ${given.passage.title}, fingering ${option.name}`;
  if (file === "passage") {
    const { bytes } = await inThread("passageFile", one);
    return { bytes, fileName: `${stem}.musicxml`, type: MUSICXML };
  }
  const { bytes } = await inThread("passageMidi", one);
  return { bytes, fileName: `${stem}.mid`, type: MIDI };
}

/** Some options of a passage one under another in one MusicXML file, each named; null where none of them is there. */
export async function exportBeside(db: Db, passageId: string, names: readonly string[]): Promise<Exported | null> {
  const given = await passageGiven(db, passageId);
  const options = given?.options.filter(({ name }) => names.length === 0 || names.includes(name)) ?? [];
  if (!given || options.length === 0) return null;
  const { bytes } = await inThread("passageFile", {
    ...(await barsOf(db, given)),
    title: `${given.piece.title}: ${given.passage.title}`,
    options: options.map((option) => ({ ...optionAsked(given, option, "all", "own"), name: option.name })),
  });
  const letters = options.map(({ name }) => name).join(" ");
  return { bytes, fileName: `${stemOf(given)}, ${given.passage.title}, ${letters}.musicxml`, type: MUSICXML };
}

/** A take as the passage's own score, with what went astray as words; null where there is no such take. */
export async function exportTake(db: Db, takeId: string): Promise<Exported | null> {
  const found = await takeById(db, takeId);
  const given = found && (await passageGiven(db, found.take.passageId));
  const option = given?.options.find(({ id }) => id === found?.take.fingeringId);
  if (!found || !given || !option) return null;
  const asked = optionAsked(given, { ...option, digits: found.digits }, "all", "own");
  const day = found.take.at.toISOString().slice(0, 10);
  const { bytes } = await inThread("takeFile", {
    ...(await barsOf(db, given)),
    title: `${given.piece.title}: ${given.passage.title}, take of ${day}`,
    options: [{ ...asked, name: option.name }],
    take: takeOf(found.take),
  });
  return { bytes, fileName: `${stemOf(given)}, ${given.passage.title}, take of ${day}.musicxml`, type: MUSICXML };
}

async function barsOf(db: Db, { passage, piece }: PassageGiven) {
  const { fromBar, toBar, hands } = passage;
  return { source: await sourceOf(db, piece.id), partId: piece.partId, fromBar, toBar, hands };
}

function optionAsked(
  { passage, study }: PassageGiven,
  { digits, pins }: Pick<FingeringKept, "digits" | "pins">,
  written: DigitsWritten,
  signs: SignsShown,
): Omit<Given<"exportedFile">, keyof Awaited<ReturnType<typeof barsOf>>> {
  return { study, digits, pins, planMarks: passage.planMarks, written, signs };
}

function stemOf({ piece }: PassageGiven): string {
  return (piece.fileName ?? piece.title).replace(/\.(musicxml|mxl|xml|midi?)$/i, "");
}
