import type { Fingering } from "@/core/fingering/fingering";
import { notesInDoubt } from "@/core/fingering/in-doubt";
import { studyOf } from "@/core/fingering/study-data";
import { planOf } from "@/core/motion/plan";
import { withTouches, withTune } from "@/core/motion/plan-marks";
import { ownSigns, signsOf, type SignPlaced } from "@/core/motion/signs";
import type { Note, NoteId } from "@/core/passage/note";
import type { NoteRemedies, NoteRemedy } from "@/core/passage/remedied";
import { handOf, type HandsTaken } from "@/core/passage/passage";
import type { Db } from "@/db/client";
import { fingeringById, type FingeringKept } from "@/db/queries/fingerings";
import { passageById, remediesOf } from "@/db/queries/passages";
import { pieceById } from "@/db/queries/pieces";
import { passageFrom } from "@/formats/musicxml/passage";
import { writeFile, writeFingering } from "@/formats/musicxml/write-fingering";
import { passageData } from "./passages";
import { scoreOf } from "./scores";

/** The digits that a pianist would write; every other note is left without one. */
async function digitsInDoubt(db: Db, { passageId, digits, pins }: FingeringKept): Promise<Fingering> {
  const data = await passageData(db, passageId);
  const written = data ? notesInDoubt(studyOf(data.study), digits, pins) : new Set();
  return Object.fromEntries(
    Object.entries(digits).map(([id, finger]) => [id, written.has(id as NoteId) ? finger : null]),
  ) as Fingering;
}

/** A note tied on is marked on every head that it has. */
function onEveryHead(notes: readonly Note[], remedies: NoteRemedies): NoteRemedies {
  const all: Record<NoteId, NoteRemedy> = { ...remedies };
  for (const { id, tied } of notes) {
    const remedy = remedies[id];
    if (remedy && ["omit", "fold", "other-hand"].includes(remedy.kind)) for (const head of tied) all[head] = remedy;
  }
  return all;
}

/** A note that is taken over is marked like one that a remedy gives to the other hand. */
function handsTaken(taken: HandsTaken): NoteRemedies {
  return Object.fromEntries(Object.entries(taken).map(([note, hand]) => [note, { kind: "other-hand", hand }]));
}

export interface Exported {
  readonly bytes: Uint8Array;
  readonly fileName: string;
  readonly type: string;
}

/** Which digits are written: all of them, or those that a pianist would write; see core/fingering/in-doubt. */
export const DIGITS_WRITTEN = ["all", "doubt"] as const;
export type DigitsWritten = (typeof DIGITS_WRITTEN)[number];

/** Which signs are written: the player's own, or those of the hand plan as well. */
export const SIGNS_WRITTEN = ["own", "plan"] as const;

/** The signs of an option's plan as they stand on the score. */
async function signsWritten(
  db: Db,
  { passageId, digits }: FingeringKept,
  which: (typeof SIGNS_WRITTEN)[number],
): Promise<readonly SignPlaced[]> {
  const data = await passageData(db, passageId);
  if (!data) return [];
  const study = studyOf(data.study);
  const hands = new Map(study.passage.notes.map((note) => [note.id, handOf(note, study.passage)]));
  const sideOf = (note: NoteId) => hands.get(note) ?? "right";
  if (which === "own") return ownSigns(data.planMarks, sideOf);
  const plan = planOf(withTune(study, data.planMarks), digits);
  const touched = { ...plan, hands: plan.hands.map((hand) => withTouches(hand, data.planMarks)) };
  return signsOf(touched, data.planMarks, sideOf);
}

/** The file a piece came in, with an option's digits on the notes of its passage; null when there is no such option. */
export async function exportOption(
  db: Db,
  fingeringId: string,
  digits: DigitsWritten = "all",
  signs: (typeof SIGNS_WRITTEN)[number] = "own",
): Promise<Exported | null> {
  const option = await fingeringById(db, fingeringId);
  const passage = option && (await passageById(db, option.passageId));
  const piece = passage && (await pieceById(db, passage.pieceId));
  if (!option || !passage || !piece) return null;
  const { score, part } = scoreOf(piece);
  const remedies = await remediesOf(db, passage.id);
  const music = { ...passageFrom(part, passage.fromBar, passage.toBar, passage.hands), remedies, taken: passage.taken };
  const hands = new Map(music.notes.map((note) => [note.id, handOf(note, music)]));
  const xml = writeFingering(score, part, {
    fingering: digits === "all" ? option.digits : await digitsInDoubt(db, option),
    handOf: (note) => hands.get(note) ?? "right",
    signs: await signsWritten(db, option, signs),
    remedies: onEveryHead(music.notes, { ...handsTaken(passage.taken), ...remedies }),
  });
  const stem = (piece.fileName ?? piece.title).replace(/\.(musicxml|mxl|xml)$/i, "");
  return {
    bytes: writeFile(score, xml),
    fileName: `${stem}, fingering ${option.name}.${score.package ? "mxl" : "musicxml"}`,
    type: score.package ? "application/vnd.recordare.musicxml" : "application/vnd.recordare.musicxml+xml",
  };
}
