import { revalidatePath } from "next/cache";
import { database } from "@/server/connection";
import { importPiece } from "@/server/pieces/pieces";
import { player } from "@/server/players/player";
import { orRefused, refused, uploaded } from "@/server/pieces/uploaded";

/** Takes in one file; answers with the piece made of it, or with a sentence that says what is wrong. */
export async function POST(request: Request): Promise<Response> {
  return orRefused(async () => {
    const given = await uploaded(request);
    if (!given.ok) return given.refusal;
    const db = database();
    const answer = await importPiece(db, (await player(db)).id, given.file);
    if (!answer.ok) return refused(answer.message, 422);
    revalidatePath("/");
    return Response.json(answer.value);
  });
}
