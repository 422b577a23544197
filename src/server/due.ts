import type { Day } from "@/core/time/days";
import { standingOf } from "@/core/verdict/standing";
import type { Db } from "@/db/client";
import { fingeringNames } from "@/db/queries/fingerings";
import { practiceDays } from "@/db/queries/passages";
import type { PieceListed } from "@/db/queries/pieces";
import { today } from "./today";
import type { DueData } from "./types";
import { verdictsData } from "./verdicts";

/** Passages of some pieces that are undecided, and those taken whose review has come; what is most pressing first. */
export async function dueIn(db: Db, pieces: readonly PieceListed[]): Promise<readonly DueData[]> {
  const all = await Promise.all(
    pieces.flatMap((piece) =>
      piece.passages.map(async ({ id, title }): Promise<readonly DueData[]> => {
        const [events, practised] = await Promise.all([verdictsData(db, id), practiceDays(db, id)]);
        const standing = standingOf(events, practised as readonly Day[], today());
        if (standing.state === "open" || (standing.state === "taken" && standing.reviewIn !== 0)) return [];
        const names = standing.state === "taken" ? await fingeringNames(db, id) : null;
        const option = standing.state === "taken" ? (names!.get(standing.fingeringId) ?? null) : null;
        return [{ passageId: id, title, piece: piece.title, standing, option }];
      }),
    ),
  );
  const pressing = ({ standing }: DueData): number => (standing.state === "undecided" ? standing.daysLeft : 0);
  return all.flat().sort((a, b) => pressing(a) - pressing(b));
}
