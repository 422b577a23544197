import type { z } from "zod";
import type { Db } from "@/db/client";
import { newestTakes, versionsTried } from "@/db/queries/own-figures";
import type { OwnAsked } from "../hands/own-figures";
import { passageGiven } from "../passages/passage-given";
import { isHere, NOBODY } from "../players/player";
import type { TakesOfFingering } from "../threads/own-figures";
import { inThread } from "../threads/pool";
import type { Answer, OwnProposedData } from "../types";
import { takeOf } from "./takes";

/** Versions of fingerings that are looked at, and takes of each whose keys are. */
const MOST_VERSIONS = 40;
const MOST_TAKES = 20;

/** What a player's takes would change: nothing is changed by asking. */
export async function proposeOwn(db: Db, { playerId }: z.infer<typeof OwnAsked>): Promise<Answer<OwnProposedData>> {
  if (!(await isHere(db, playerId))) return NOBODY;
  return { ok: true, value: await inThread("ownProposal", { groups: await groupsOf(db, playerId) }) };
}

async function groupsOf(db: Db, playerId: string): Promise<readonly TakesOfFingering[]> {
  const groups: TakesOfFingering[] = [];
  for (const { passageId, title, fingeringId, version, digits, count, astray } of await versionsTried(
    db,
    playerId,
    MOST_VERSIONS,
  )) {
    const given = await passageGiven(db, passageId);
    if (!given) continue;
    const newest = await newestTakes(db, fingeringId, version, MOST_TAKES);
    groups.push({ title, study: given.study, digits, astray: summed(astray), count, newest: newest.map(takeOf) });
  }
  return groups;
}

function summed(all: readonly Readonly<Record<string, number>>[]): Readonly<Record<string, number>> {
  const sums: Record<string, number> = {};
  for (const one of all) for (const [note, faults] of Object.entries(one)) sums[note] = (sums[note] ?? 0) + faults;
  return sums;
}
