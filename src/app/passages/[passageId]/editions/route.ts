import { revalidatePath } from "next/cache";
import { z } from "zod";
import { LARGEST_FILE } from "@/formats/musicxml/open";
import { database } from "@/server/connection";
import { addEdition } from "@/server/editions";

/** Takes in another file of the same passage; answers with its options, or with a sentence that says what is wrong. */
export async function POST(
  request: Request,
  { params }: { params: Promise<{ passageId: string }> },
): Promise<Response> {
  const { passageId } = await params;
  if (!z.uuid().safeParse(passageId).success) return refused("This passage is not there any more.", 404);
  const size = Number(request.headers.get("content-length") ?? 0);
  if (size > LARGEST_FILE + 10_000) return refused(`The file is over ${LARGEST_FILE / 1024 / 1024} MB.`, 413);
  const file = await request.formData().then(
    (form) => form.get("file"),
    () => null,
  );
  if (!(file instanceof File)) return refused("No file came with the request.", 400);
  const bytes = new Uint8Array(await file.arrayBuffer());
  const answer = await addEdition(database(), passageId, { name: file.name, bytes });
  if (!answer.ok) return refused(answer.message, 422);
  revalidatePath("/", "layout");
  return Response.json(answer.value);
}

function refused(message: string, status: number): Response {
  return Response.json({ message }, { status });
}
