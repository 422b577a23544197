import type { NoteId } from "@/core/passage/note";
import type { Db } from "@/db/client";
import { keepFollowed } from "@/db/queries/edits";
import { passageGiven } from "./passage-given";
import { inThread } from "../threads/pool";
import type { Given } from "../threads/tasks";

/** Rounds after which options that are changed all the while are left to the next who opens their passage. */
const MOST_ROUNDS = 6;

/**
 * Lets the options of a passage follow what has changed about them. Digits are worked out in a thread, outside any
 * transaction, and written only on the state they were worked out from: else they are worked out again.
 * @param after see threads/fingerings
 * @param freed notes whose digits are free
 */
export async function follow(
  db: Db,
  passageId: string,
  after: Given<"followed">["after"],
  freed: readonly NoteId[] = [],
): Promise<void> {
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const given = await passageGiven(db, passageId);
    if (!given) return;
    const { study, options, passage } = given;
    const found = await inThread("followed", { study, wishes: passage.wishes, options, after, freed });
    const digits = options.map(({ id, version }) => ({ id, version, digits: found[id] ?? null }));
    if (await keepFollowed(db, passageId, passage.revision, digits)) return;
  }
}
