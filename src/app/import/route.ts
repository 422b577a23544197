import { revalidatePath } from "next/cache";
import { database } from "@/server/connection";
import { importPiece } from "@/server/pieces/pieces";
import { isHere, NOBODY } from "@/server/players/player";
import { z } from "zod";
import { orRefused, refused, uploaded } from "@/server/pieces/uploaded";

/** Takes in one file for the player named in the address; answers with the piece made of it, or with a sentence that says what is wrong. */
export async function POST(request: Request): Promise<Response> {
  return orRefused(async () => {
    const given = await uploaded(request);
    if (!given.ok) return given.refusal;
    const db = database();
    const named = z.uuid().safeParse(new URL(request.url).searchParams.get("player"));
    if (!named.success || !(await isHere(db, named.data))) return refused(NOBODY.message, 422);
    const answer = await importPiece(db, named.data, given.file);
    if (!answer.ok) return refused(answer.message, 422);
    revalidatePath("/");
    return Response.json(answer.value);
  });
}
