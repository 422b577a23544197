import { revalidatePath } from "next/cache";
import { z } from "zod";
import { database } from "@/server/connection";
import { addEdition } from "@/server/editions";
import { refused, uploaded } from "@/server/uploaded";

/** Takes in another file of the same passage; answers with its options, or with a sentence that says what is wrong. */
export async function POST(
  request: Request,
  { params }: { params: Promise<{ passageId: string }> },
): Promise<Response> {
  const { passageId } = await params;
  if (!z.uuid().safeParse(passageId).success) return refused("This passage is not there any more.", 404);
  const given = await uploaded(request);
  if (!given.ok) return given.refusal;
  const answer = await addEdition(database(), passageId, given.file);
  if (!answer.ok) return refused(answer.message, 422);
  revalidatePath("/", "layout");
  return Response.json(answer.value);
}
