import { z } from "zod";
import { database } from "@/server/connection";
import { orRefused } from "@/server/pieces/uploaded";
import { filmFile } from "@/server/trials/films";

/** The file of a film that is kept, as it came. */
export async function GET(_: Request, { params }: { params: Promise<{ filmId: string }> }): Promise<Response> {
  const id = z.uuid().safeParse((await params).filmId);
  return orRefused(async () => {
    const file = id.success ? await filmFile(database(), id.data) : null;
    if (!file) return new Response("There is no such film.", { status: 404 });
    return new Response(Buffer.from(file.bytes), {
      headers: {
        "content-type": file.type,
        "x-content-type-options": "nosniff",
        "content-security-policy": "sandbox",
        "cache-control": "private, no-store",
      },
    });
  });
}
