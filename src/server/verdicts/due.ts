import type { Day } from "@/core/time/days";
import type { Zone } from "@/core/time/zone";
import { standingOf } from "@/core/verdict/standing";
import type { Db } from "@/db/client";
import { fingeringNames } from "@/db/queries/fingerings";
import { standingsOf } from "@/db/queries/passages";
import type { PieceListed } from "@/db/queries/pieces";
import { grouped } from "../grouped";
import { serverZone, today } from "../players/day";
import type { DueData } from "../types";
import { verdictData } from "./verdicts";

/** Passages of a player that are undecided, and those taken whose review has come; what is most pressing first. */
export async function dueIn(
  db: Db,
  pianistId: string,
  pieces: readonly PieceListed[],
  zone: Zone = serverZone(),
): Promise<readonly DueData[]> {
  const { events, days } = await standingsOf(db, pianistId);
  const said = grouped(events);
  const practised = grouped(days);
  const now = today(zone);
  const due = pieces.flatMap((piece) =>
    piece.passages.flatMap(({ id, title }): readonly Omit<DueData, "option">[] => {
      const verdicts = (said.get(id) ?? []).map((event) => verdictData(event, zone));
      const standing = standingOf(
        verdicts,
        (practised.get(id) ?? []).map(({ day }) => day as Day),
        now,
      );
      if (standing.state === "open" || (standing.state === "taken" && standing.reviewIn !== 0)) return [];
      return [{ passageId: id, title, piece: piece.title, standing }];
    }),
  );
  const names = await fingeringNames(
    db,
    due.flatMap(({ standing }) => (standing.state === "taken" ? [standing.fingeringId] : [])),
  );
  const pressing = ({ standing }: Pick<DueData, "standing">): number =>
    standing.state === "undecided" ? standing.daysLeft : 0;
  return due
    .map((one) => ({
      ...one,
      option: one.standing.state === "taken" ? (names.get(one.standing.fingeringId) ?? null) : null,
    }))
    .sort((a, b) => pressing(a) - pressing(b));
}
