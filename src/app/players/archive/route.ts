import { revalidatePath } from "next/cache";
import { takeIn } from "@/server/archive/take-in";
import { database } from "@/server/connection";
import { LARGEST_ARCHIVE, orRefused, refused, uploaded } from "@/server/pieces/uploaded";

/** Takes an archive in; answers with what came of it, or with a sentence that says what is wrong. */
export async function POST(request: Request): Promise<Response> {
  return orRefused(async () => {
    const given = await uploaded(request, LARGEST_ARCHIVE);
    if (!given.ok) return given.refusal;
    const answer = await takeIn(database(), given.file.bytes);
    if (!answer.ok) return refused(answer.message, 422);
    revalidatePath("/", "layout");
    return Response.json(answer.value);
  });
}
