import { sql } from "drizzle-orm";
import { database } from "@/server/connection";

export const dynamic = "force-dynamic";

/** By this word a start knows its own server; the database need not be there yet. */
const NAME = "velvet-thumb";

/** Answers when the server is up, and says whether its database is. */
export async function GET(): Promise<Response> {
  const isThere = await database()
    .execute(sql`select 1`)
    .then(
      () => true,
      () => false,
    );
  return Response.json({ name: NAME, server: "ready", database: isThere ? "ready" : "away" });
}
