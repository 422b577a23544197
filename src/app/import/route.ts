import { revalidatePath } from "next/cache";
import { LARGEST_FILE } from "@/formats/musicxml/open";
import { database } from "@/server/connection";
import { importPiece } from "@/server/pieces";
import { player } from "@/server/player";

/** Takes in one file; answers with the piece made of it, or with a sentence that says what is wrong. */
export async function POST(request: Request): Promise<Response> {
  const size = Number(request.headers.get("content-length") ?? 0);
  if (size > LARGEST_FILE + 10_000) return refused(`The file is over ${LARGEST_FILE / 1024 / 1024} MB.`, 413);
  const file = await request.formData().then(
    (form) => form.get("file"),
    () => null,
  );
  if (!(file instanceof File)) return refused("No file came with the request.", 400);
  const db = database();
  const answer = await importPiece(db, (await player(db)).id, {
    name: file.name,
    bytes: new Uint8Array(await file.arrayBuffer()),
  });
  if (!answer.ok) return refused(answer.message, 422);
  revalidatePath("/");
  return Response.json(answer.value);
}

function refused(message: string, status: number): Response {
  return Response.json({ message }, { status });
}
