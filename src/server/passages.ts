import { z } from "zod";
import { TEMPO_RANGE, type Hands } from "@/core/passage/passage";
import type { Day } from "@/core/time/days";
import type { Db } from "@/db/client";
import { fingeringsOf } from "@/db/queries/fingerings";
import { passageById, practiceDays, remediesOf, sharedMarks } from "@/db/queries/passages";
import { pianistById, recitals } from "@/db/queries/pianists";
import { pieceById } from "@/db/queries/pieces";
import { passage } from "@/db/schema";
import { excerpt } from "@/formats/musicxml/excerpt";
import { meterOf } from "@/formats/musicxml/meter";
import { passageFrom } from "@/formats/musicxml/passage";
import { handsGiven, instrumentsData, restsData } from "./hands";
import { scoreOf } from "./scores";
import { today } from "./today";
import { verdictsData } from "./verdicts";
import type { Answer, PassageData } from "./types";

/** A new passage as asked for; bars by their place in the file. */
export const PassageAsked = z
  .object({
    pieceId: z.uuid(),
    title: z.string().trim().min(1, "Give the passage a name.").max(120, "A name has at most 120 letters."),
    fromBar: z.number().int().min(1),
    toBar: z.number().int().min(1),
    hands: z.enum(["right", "left", "both"]),
    tempo: z
      .number({ error: "Say the tempo as a number." })
      .min(TEMPO_RANGE[0], `The tempo is at least ${TEMPO_RANGE[0]} quarter notes a minute.`)
      .max(TEMPO_RANGE[1], `The tempo is at most ${TEMPO_RANGE[1]} quarter notes a minute.`),
    touch: z.enum(["legato", "detached"]).default("legato"),
    pedal: z.boolean().default(false),
  })
  .refine((p) => p.toBar >= p.fromBar, { message: "The last bar comes before the first.", path: ["toBar"] });

export type PassageAsked = z.infer<typeof PassageAsked>;

/** Keeps a new passage; refuses bars that the piece does not have or that hold nothing for the hands. */
export async function addPassage(db: Db, asked: PassageAsked): Promise<Answer<{ passageId: string }>> {
  const piece = await pieceById(db, asked.pieceId);
  if (!piece) return { ok: false, message: "This piece is not there any more." };
  const { part } = scoreOf(piece);
  if (asked.toBar > part.bars.length)
    return { ok: false, message: `The piece has ${part.bars.length} bars; bar ${asked.toBar} is not one of them.` };
  const music = passageFrom(part, asked.fromBar, asked.toBar, asked.hands);
  if (!music.notes.some((note) => isFor(asked.hands, note.staff, part.staves))) {
    return {
      ok: false,
      message: `Bars ${asked.fromBar} to ${asked.toBar} hold no notes for the ${asked.hands === "both" ? "hands" : `${asked.hands} hand`}.`,
    };
  }
  const [made] = await db.insert(passage).values(asked).returning({ id: passage.id });
  return { ok: true, value: { passageId: made!.id } };
}

/** Everything the Bench and Side by side show; null when there is no such passage. */
export async function passageData(db: Db, id: string): Promise<PassageData | null> {
  const found = await passageById(db, id);
  const piece = found && (await pieceById(db, found.pieceId));
  if (!found || !piece) return null;
  const { score, part } = scoreOf(piece);
  const [hands, [instrument], options, verdicts, dates, remedies, rests, who, marked, practised] = await Promise.all([
    handsGiven(db, piece.pianistId),
    instrumentsData(db, piece.pianistId),
    fingeringsOf(db, id),
    verdictsData(db, id),
    recitals(db, piece.pianistId),
    remediesOf(db, id),
    restsData(db, piece.pianistId),
    pianistById(db, piece.pianistId),
    sharedMarks(db, id),
    practiceDays(db, id),
  ]);
  const { tempo, touch, pedal, fromBar, toBar } = found;
  return {
    id,
    title: found.title,
    piece: { id: piece.id, title: piece.title, entered: piece.entry !== null },
    bars: { from: part.bars[fromBar - 1]!.number, to: part.bars[toBar - 1]!.number },
    study: {
      passage: { ...passageFrom(part, fromBar, toBar, found.hands), remedies, taken: found.taken },
      hands,
      octaveWidth: instrument!.octaveWidth,
      manner: { tempo, touch, pedal },
    },
    meter: meterOf(part, fromBar),
    music: excerpt(score, part, fromBar, toBar),
    beginning: toBar - fromBar < 2 * BEGINNING ? null : excerpt(score, part, fromBar, fromBar + BEGINNING - 1),
    options,
    verdicts,
    practised: practised as readonly Day[],
    today: today(),
    recital: dates.find((r) => r.id === piece.recitalId) ?? null,
    rests,
    allows: who!.allows,
    wishes: found.wishes,
    planMarks: found.planMarks,
    marked,
  };
}

/** Bars of a long passage that are engraved first. */
const BEGINNING = 4;

function isFor(hands: Hands, staff: number, staves: number): boolean {
  if (hands === "both" || staves === 1) return true;
  return (staff === 1) === (hands === "right");
}
