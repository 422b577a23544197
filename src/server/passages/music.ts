import { LRUCache } from "lru-cache";
import type { Db } from "@/db/client";
import { sourceOf, type PieceKept } from "@/db/queries/pieces";
import type { passage } from "@/db/schema";
import { inThread } from "../threads/pool";
import type { Done, Given } from "../threads/tasks";

/** What is asked of kept files and does not depend on anything but their bytes. */
type Question = "pieceMusic" | "passageMusic" | "wholeMusic";

/** Letters of answers that are kept in memory. A choice: some hundred passages. */
const MOST_LETTERS = 48_000_000;

const shared = globalThis as { velvetMusic?: LRUCache<string, object> };

function known(): LRUCache<string, object> {
  return (shared.velvetMusic ??= new LRUCache({
    maxSize: MOST_LETTERS,
    sizeCalculation: (answer) => JSON.stringify(answer).length,
  }));
}

/** Asks about a kept file, whose bytes are fetched and read only where the answer is not known yet. */
async function ask<Q extends Question>(
  db: Db,
  { id, sourceSum, partId }: PieceKept,
  question: Q,
  more: Omit<Given<Q>, "source" | "partId">,
): Promise<Done<Q>> {
  const key = JSON.stringify([question, sourceSum, partId, more]);
  const found = known().get(key);
  if (found) return found as Done<Q>;
  const given = { ...more, source: await sourceOf(db, id), partId } as unknown as Given<Q>;
  const answer = await inThread(question, given);
  known().set(key, answer);
  return answer;
}

type Bars = Pick<typeof passage.$inferSelect, "fromBar" | "toBar" | "hands">;

/** What a piece's page shows of its music. */
export const musicOfPiece = (db: Db, piece: PieceKept) => ask(db, piece, "pieceMusic", {});

/** A whole piece, for its survey. */
export const musicOfWhole = (db: Db, piece: PieceKept) => ask(db, piece, "wholeMusic", {});

/** The music of a passage; a sentence where its bars are not there. */
export function musicOfPassage(
  db: Db,
  piece: PieceKept,
  { fromBar, toBar, hands }: Bars,
): Promise<Done<"passageMusic">> {
  return ask(db, piece, "passageMusic", { fromBar, toBar, hands });
}
