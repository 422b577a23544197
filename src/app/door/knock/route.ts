import { z } from "zod";
import { knock } from "@/server/doors/passphrase";
import { newSession, SESSION_COOKIE, SESSION_SECONDS } from "@/server/doors/session";
import { refused } from "@/server/pieces/uploaded";

const Said = z.object({ said: z.string().max(1000) });

/** Letters that a passphrase may be sent in, at most. */
const MOST = 4000;

/** Opens the door to whom says the passphrase; attempts are limited. */
export async function POST(request: Request): Promise<Response> {
  if (Number(request.headers.get("content-length") ?? Infinity) > MOST) return refused("That is no passphrase.", 413);
  const given = Said.safeParse(await request.json().catch(() => null));
  if (!given.success) return refused("Say the passphrase.", 400);
  const address = request.headers.get("x-forwarded-for")?.split(",").at(-1)?.trim() ?? "unknown";
  switch (await knock(given.data.said, address)) {
    case "too-often":
      return refused("That was said too often. Wait a quarter of an hour.", 429);
    case "wrong":
      return refused("That is not the passphrase.", 401);
    case "open":
      return new Response(null, {
        status: 204,
        headers: {
          "set-cookie": `${SESSION_COOKIE}=${await newSession()}; Path=/; HttpOnly; SameSite=Strict; Max-Age=${SESSION_SECONDS}`,
        },
      });
  }
}
