import { USUAL_RULE } from "@/core/trials/clean";
import { eq } from "drizzle-orm";
import { z } from "zod";
import { TEMPO_RANGE, type Hands } from "@/core/passage/passage";
import type { Day } from "@/core/time/days";
import type { Zone } from "@/core/time/zone";
import type { Db } from "@/db/client";
import { practiceDays, sharedMarks } from "@/db/queries/passages";
import { pianistById, recitals } from "@/db/queries/pianists";
import { pieceById } from "@/db/queries/pieces";
import { passage } from "@/db/schema";
import { serverZone, today } from "../players/day";
import { follow } from "./follow";
import { restsData } from "../hands/hands";
import { musicOfPassage } from "./music";
import { passageGiven } from "./passage-given";
import { name } from "../text";
import { haltData } from "../players/halt";
import { verdictsData } from "../verdicts/verdicts";
import type { Answer, PassageData } from "../types";

/** A new passage as asked for; bars by their place in the file. */
export const PassageAsked = z
  .object({
    /** Given by the page, so that sending it twice makes one. */
    id: z.uuid().optional(),
    pieceId: z.uuid(),
    title: name("passage"),
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
  const music = await musicOfPassage(db, piece, asked);
  if (!music.ok) return music;
  const { notes, staves } = music.value.passage;
  if (!notes.some((note) => isFor(asked.hands, note.staff, staves))) {
    return {
      ok: false,
      message: `Bars ${asked.fromBar} to ${asked.toBar} hold no notes for the ${asked.hands === "both" ? "hands" : `${asked.hands} hand`}.`,
    };
  }
  const [made] = await db
    .insert(passage)
    .values({ ...asked, printedBars: music.value.bars })
    .onConflictDoNothing()
    .returning({ id: passage.id });
  return { ok: true, value: { passageId: made?.id ?? asked.id! } };
}

/**
 * Everything the Bench and Side by side show; null when there is no such passage. Options that something has changed
 * about, and that nobody came to work out, are worked out first.
 */
export async function passageData(db: Db, id: string, zone: Zone = serverZone()): Promise<PassageData | null> {
  let given = await passageGiven(db, id);
  if (given?.options.some(({ follows }) => follows < given!.passage.revision)) {
    await follow(db, id, "asked");
    given = await passageGiven(db, id);
  }
  if (!given) return null;
  const { passage: found, piece, music, study, options } = given;
  if (!found.printedBars) await db.update(passage).set({ printedBars: music.bars }).where(eq(passage.id, id));
  const [verdicts, dates, rests, who, marked, practised, halt] = await Promise.all([
    verdictsData(db, id, zone),
    recitals(db, piece.pianistId),
    restsData(db, piece.pianistId),
    pianistById(db, piece.pianistId),
    sharedMarks(db, id),
    practiceDays(db, id),
    haltData(db, piece.pianistId),
  ]);
  return {
    id,
    title: found.title,
    player: { id: piece.pianistId, name: who!.name },
    piece: { id: piece.id, title: piece.title, entered: piece.entry !== null },
    bars: music.bars,
    study,
    music: music.music,
    beginning: music.beginning,
    options,
    verdicts,
    practised: practised as readonly Day[],
    today: today(zone),
    recital: dates.find((r) => r.id === piece.recitalId && r.endedAt === null) ?? null,
    rests,
    allows: who!.allows,
    halt,
    cleanRule: who!.cleanRule ?? USUAL_RULE,
    wishes: found.wishes,
    planMarks: found.planMarks,
    marked,
  };
}

function isFor(hands: Hands, staff: number, staves: number): boolean {
  if (hands === "both" || staves === 1) return true;
  return (staff === 1) === (hands === "right");
}
