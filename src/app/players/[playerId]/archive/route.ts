import { z } from "zod";
import { archiveOf } from "@/server/archive/take-out";
import { database } from "@/server/connection";
import { orRefused } from "@/server/pieces/uploaded";

/** Everything that is a player's, in one file. It is only made where the player asks for it. */
export async function GET(_: Request, { params }: { params: Promise<{ playerId: string }> }): Promise<Response> {
  const id = z.uuid().safeParse((await params).playerId);
  return orRefused(async () => {
    const now = new Date();
    const bytes = id.success ? await archiveOf(database(), id.data, now) : null;
    if (!bytes) return new Response("There is no such player.", { status: 404 });
    return new Response(Buffer.from(bytes), {
      headers: {
        "content-type": "application/zip",
        "cache-control": "no-store",
        "content-disposition": `attachment; filename="velvet-thumb-${now.toISOString().slice(0, 10)}.zip"`,
      },
    });
  });
}
