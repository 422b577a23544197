import { cookies } from "next/headers";
import { redirect } from "next/navigation";
import { cache } from "react";
import { pianistsHere, type Pianist } from "@/db/queries/pianists";
import { database } from "../connection";
import { passphrase } from "../doors/passphrase";
import { isLetIn, SESSION_COOKIE } from "../doors/session";

/** The cookie that says whose turn it is in this browser. */
const PLAYER_COOKIE = "velvet-player";

/** Seconds for which a browser remembers its player. */
const A_YEAR = 365 * 24 * 3600;

/** Everyone who plays here, and who of them is at it in this browser: the one who was taken up last, or else the first. */
export const playersHere = cache(
  async (): Promise<{ readonly all: readonly Pianist[]; readonly now: Pianist | null }> => {
    const named = (await cookies()).get(PLAYER_COOKIE)?.value;
    const all = await pianistsHere(database());
    return { all, now: all.find(({ id }) => id === named) ?? all[0] ?? null };
  },
);

/** The same for what frames every page: nobody where the database does not answer, or the door is still closed. */
export async function playersIfThere(): Promise<Awaited<ReturnType<typeof playersHere>>> {
  const isIn = passphrase() === null || (await isLetIn((await cookies()).get(SESSION_COOKIE)?.value));
  if (!isIn) return { all: [], now: null };
  return playersHere().catch(() => ({ all: [], now: null }));
}

/** The player at it in this browser; where nobody plays here yet, the page becomes the one on which to begin. */
export async function playerInHand(): Promise<Pianist> {
  const { now } = await playersHere();
  return now ?? redirect("/players/new");
}

/** From now on it is another player's turn in this browser. */
export async function takeTurn(id: string): Promise<void> {
  (await cookies()).set(PLAYER_COOKIE, id, { httpOnly: true, sameSite: "lax", path: "/", maxAge: A_YEAR });
}
