import { eq } from "drizzle-orm";
import { z } from "zod";
import type { Choices } from "@/core/transcription/choices";
import { DOUBTS } from "@/core/transcription/choices";
import type { Db } from "@/db/client";
import { allPassagesOf, pieceById } from "@/db/queries/pieces";
import { heard, piece } from "@/db/schema";
import { handsGiven, instrumentsData } from "../hands/hands";
import { inThread, TooMuch } from "../threads/pool";
import type { Done } from "../threads/tasks";
import type { Answer, HeardData } from "../types";

type HeardInThread = Done<"hearFile">;

/** Hears a file of keys as music, for the hands of a player. */
export async function hear(
  db: Db,
  pianistId: string,
  { midi, name, choices }: { readonly midi: Uint8Array; readonly name: string; readonly choices: Choices },
): Promise<HeardInThread> {
  const [hands, [instrument]] = await Promise.all([handsGiven(db, pianistId), instrumentsData(db, pianistId)]);
  try {
    return await inThread("hearFile", { midi, name, choices, hands, octaveWidth: instrument!.octaveWidth });
  } catch (error) {
    if (!(error instanceof TooMuch)) throw error;
    return { ok: false, message: "Hearing it takes more time or memory than any piece." };
  }
}

/** How a piece was heard; null where it did not come as a file of keys. */
export async function heardData(db: Db, pieceId: string): Promise<HeardData | null> {
  const [found] = await db
    .select({ choices: heard.choices, guessed: heard.guessed, doubts: heard.doubts })
    .from(heard)
    .where(eq(heard.pieceId, pieceId));
  return found ?? null;
}

const MOST_TURNED = 10_000;

const ChoicesAsked = z.object({
  beat: z.enum(["file", "ear"]).optional(),
  time: z
    .tuple([
      z.number().int().min(1).max(32),
      z.union([z.literal(1), z.literal(2), z.literal(4), z.literal(8), z.literal(16)]),
    ])
    .optional(),
  upbeat: z.number().min(0, "An upbeat has no fewer than no quarters.").max(32).optional(),
  fifths: z
    .number()
    .int()
    .min(-7, "A key has seven flats at most.")
    .max(7, "A key has seven sharps at most.")
    .optional(),
  finest: z.union([z.literal(8), z.literal(16), z.literal(32)]).optional(),
  hands: z.enum(["tracks", "cost"]).optional(),
  turned: z
    .array(z.object({ key: z.number().int().min(0).max(30_000), doubt: z.enum(DOUBTS) }))
    .max(MOST_TURNED)
    .optional(),
});

export const HearAsked = z.object({ pieceId: z.uuid(), choices: ChoicesAsked });

/** Hears a piece's file again as the player says. Refused once passages speak of the notes that were heard. */
export async function hearAgain(
  db: Db,
  { pieceId, choices: asked }: z.infer<typeof HearAsked>,
): Promise<Answer<HeardData>> {
  const choices = Object.fromEntries(Object.entries(asked).filter(([, value]) => value !== undefined)) as Choices;
  const [found, [kept]] = await Promise.all([
    pieceById(db, pieceId),
    db.select({ midi: heard.midi }).from(heard).where(eq(heard.pieceId, pieceId)),
  ]);
  if (!found || !kept)
    return { ok: false, message: "This piece is not there any more, or was not heard from a file of keys." };
  const answer = await hear(db, found.pianistId, { midi: kept.midi, name: found.title, choices });
  if (!answer.ok) return answer;
  const { source, guessed, doubts } = answer.value;
  return db.transaction(async (tx): Promise<Answer<HeardData>> => {
    await tx.select({ id: piece.id }).from(piece).where(eq(piece.id, pieceId)).for("update");
    if ((await allPassagesOf(tx as unknown as Db, pieceId)).length > 0) return SETTLED;
    await tx.update(piece).set({ source }).where(eq(piece.id, pieceId));
    await tx.update(heard).set({ choices, guessed, doubts, at: new Date() }).where(eq(heard.pieceId, pieceId));
    return { ok: true, value: { choices, guessed, doubts } };
  });
}

const SETTLED = {
  ok: false,
  message: "The piece has passages that speak of its notes. Bring the file in once more to hear it otherwise.",
} as const;
