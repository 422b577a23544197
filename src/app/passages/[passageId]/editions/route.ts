import { z } from "zod";
import { database } from "@/server/connection";
import { addEdition } from "@/server/options/editions";
import { orRefused, refused, uploaded } from "@/server/pieces/uploaded";

/** Takes in another file of the same passage; answers with its options, or with a sentence that says what is wrong. */
export async function POST(
  request: Request,
  { params }: { params: Promise<{ passageId: string }> },
): Promise<Response> {
  const { passageId } = await params;
  if (!z.uuid().safeParse(passageId).success) return refused("This passage is not there any more.", 404);
  return orRefused(async () => {
    const given = await uploaded(request);
    if (!given.ok) return given.refusal;
    const answer = await addEdition(database(), passageId, given.file);
    return answer.ok ? Response.json(answer.value) : refused(answer.message, 422);
  });
}
