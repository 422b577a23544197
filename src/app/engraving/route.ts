import { z } from "zod";
import { engraving } from "@/server/engraving/engraving";
import { orRefused, refused, refusedAtTheDoor } from "@/server/pieces/uploaded";

/** Letters of a request at most: several times the longest passage within the limits of a file. */
const MOST = 48_000_000;

const Asked = z.object({
  music: z.string().min(1),
  width: z.number().int().min(50).max(20_000).nullable(),
  scale: z.number().int().min(5).max(400),
  rows: z.number().int().min(1).max(60),
});

/** Draws the music that comes with the request; answers with one SVG a line, or with null where nobody waits any more. */
export async function POST(request: Request): Promise<Response> {
  return orRefused(async () => {
    const atTheDoor = await refusedAtTheDoor(request);
    if (atTheDoor) return atTheDoor;
    if (Number(request.headers.get("content-length") ?? Infinity) > MOST)
      return refused("That is too much music.", 413);
    const asked = Asked.safeParse(await request.json().catch(() => null));
    if (!asked.success) return refused("No music came that can be engraved.", 400);
    const lines = await engraving(asked.data, request.signal);
    return lines === "not-engraved" ? refused("The music could not be engraved.", 422) : Response.json(lines);
  });
}
