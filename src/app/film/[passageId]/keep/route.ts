import { revalidatePath } from "next/cache";
import { z } from "zod";
import { database } from "@/server/connection";
import { orRefused, refused, uploaded } from "@/server/pieces/uploaded";
import { keepFilm } from "@/server/trials/films";

/** Keeps a clip or a photograph with a passage; answers with it, or with a sentence that says what is wrong. */
export async function POST(
  request: Request,
  { params }: { params: Promise<{ passageId: string }> },
): Promise<Response> {
  return orRefused(async () => {
    const passageId = z.uuid().safeParse((await params).passageId);
    if (!passageId.success) return refused("There is no such passage.", 404);
    const given = await uploaded(request);
    if (!given.ok) return given.refusal;
    const answer = await keepFilm(database(), passageId.data, given.file);
    if (!answer.ok) return refused(answer.message, 422);
    revalidatePath(`/film/${passageId.data}`);
    return Response.json(answer.value);
  });
}
