import { and, desc, eq, inArray, isNotNull, isNull, ne } from "drizzle-orm";
import { fingering, passage, piece, verdictEvent } from "@/db/schema";
import type { Db } from "@/db/client";
import type { Belonging } from "../belonging";
import { changing } from "../changing";

export const ofOptions: Belonging = {
  noun: "option",
  untitled: true,
  ...changing(fingering),
  /** The last one stays, for a passage without options is given new ones; so does the one that was taken. */
  async stays(db, id) {
    const [own] = await db.select({ passageId: fingering.passageId }).from(fingering).where(eq(fingering.id, id));
    if (!own) return null;
    const { passageId } = own;
    const others = await db
      .select({ id: fingering.id })
      .from(fingering)
      .where(and(eq(fingering.passageId, passageId), ne(fingering.id, id), isNull(fingering.goneAt)));
    if (others.length === 0) return "The last option of a passage stays.";
    return (await takenOf(db, passageId)) === id ? "This is the option you took. Decide for another first." : null;
  },
  async gone(db, pianistId) {
    const rows = await db
      .select({
        id: fingering.id,
        name: fingering.name,
        title: fingering.title,
        of: passage.title,
        at: fingering.goneAt,
      })
      .from(fingering)
      .innerJoin(passage, eq(fingering.passageId, passage.id))
      .innerJoin(piece, eq(passage.pieceId, piece.id))
      .where(
        and(eq(piece.pianistId, pianistId), isNull(piece.goneAt), isNull(passage.goneAt), isNotNull(fingering.goneAt)),
      );
    return rows.map(({ id, name, title, of, at }) => ({ id, title: title ? `${name}, ${title}` : name, of, at: at! }));
  },
};

/** The option that a passage was last decided for, where that still stands. */
async function takenOf(db: Db, passageId: string): Promise<string | null> {
  const [last] = await db
    .select({ kind: verdictEvent.kind, fingeringId: verdictEvent.fingeringId })
    .from(verdictEvent)
    .where(and(eq(verdictEvent.passageId, passageId), inArray(verdictEvent.kind, ["taken", "reopened", "undecided"])))
    .orderBy(desc(verdictEvent.place))
    .limit(1);
  return last?.kind === "taken" ? last.fingeringId : null;
}
