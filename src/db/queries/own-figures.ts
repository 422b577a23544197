import { and, desc, eq, isNull, ne, sql } from "drizzle-orm";
import type { Fingering } from "@/core/fingering/study/fingering";
import type { Db } from "../client";
import { fingeringVersion, ownFigures, passage, piece, take, takeFigures } from "../schema";

export type OwnFiguresKept = typeof ownFigures.$inferSelect;

/** A player's own figures in force; null where there are none. */
export async function ownFiguresInForce(db: Db, pianistId: string): Promise<OwnFiguresKept | null> {
  const [found] = await db
    .select()
    .from(ownFigures)
    .where(and(eq(ownFigures.pianistId, pianistId), isNull(ownFigures.givenUpAt)))
    .orderBy(desc(ownFigures.at))
    .limit(1);
  return found ?? null;
}

const isOwn = and(ne(take.source, "simulated piano"), isNull(take.snip));

/** The versions of fingerings that a player has takes of the whole of, the most played first. */
export async function versionsTried(db: Db, pianistId: string, most: number) {
  const count = sql<number>`count(*)::int`;
  return db
    .select({
      passageId: take.passageId,
      title: passage.title,
      fingeringId: take.fingeringId,
      version: take.version,
      digits: sql<Fingering>`(array_agg(${fingeringVersion.digits}))[1]`,
      count,
      astray: sql<readonly Readonly<Record<string, number>>[]>`jsonb_agg(${takeFigures.astray})`,
    })
    .from(take)
    .innerJoin(takeFigures, eq(takeFigures.takeId, take.id))
    .innerJoin(
      fingeringVersion,
      and(eq(fingeringVersion.fingeringId, take.fingeringId), eq(fingeringVersion.version, take.version)),
    )
    .innerJoin(passage, eq(passage.id, take.passageId))
    .innerJoin(piece, eq(piece.id, passage.pieceId))
    .where(and(eq(piece.pianistId, pianistId), isNull(passage.goneAt), isNull(piece.goneAt), isOwn))
    .groupBy(take.passageId, passage.title, take.fingeringId, take.version)
    .orderBy(desc(count))
    .limit(most);
}

/** The newest takes of the whole of one version, with their keys. */
export async function newestTakes(db: Db, fingeringId: string, version: number, most: number) {
  return db
    .select()
    .from(take)
    .where(and(eq(take.fingeringId, fingeringId), eq(take.version, version), isOwn))
    .orderBy(desc(take.at))
    .limit(most);
}
