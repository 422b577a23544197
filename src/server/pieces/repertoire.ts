import { daysBetween, type Day } from "@/core/time/days";
import type { Zone } from "@/core/time/zone";
import type { Db } from "@/db/client";
import { piecesWithPassages } from "@/db/queries/pieces";
import { recitals } from "@/db/queries/pianists";
import { today } from "../players/day";
import { dueIn } from "../verdicts/due";
import { goneData } from "../belongings/belongings";
import type { RepertoireData } from "../types";

/** Everything the Repertoire shows. Its queries do not grow with pieces and passages. */
export async function repertoireData(
  db: Db,
  { id, name }: { readonly id: string; readonly name: string },
  zone: Zone,
): Promise<RepertoireData> {
  const [pieces, dates, gone] = await Promise.all([piecesWithPassages(db, id), recitals(db, id), goneData(db, id)]);
  const now = today(zone);
  return {
    player: { id, name },
    gone: gone.length,
    recitals: dates
      .map(({ id: recitalId, title, heldOn, endedAt }) => ({
        id: recitalId,
        ended: endedAt !== null,
        title,
        heldOn,
        daysLeft: daysBetween(now, heldOn as Day),
      }))
      .sort((a, b) => Number(isOver(a)) - Number(isOver(b))),
    due: await dueIn(db, id, pieces, zone),
    pieces: pieces.map(({ id: pieceId, title, passages }) => ({
      id: pieceId,
      title,
      passages: passages.map((passage) => ({
        id: passage.id,
        title: passage.title,
        from: passage.printedBars?.from ?? String(passage.fromBar),
        to: passage.printedBars?.to ?? String(passage.toBar),
        hands: passage.hands,
        tempo: passage.tempo,
      })),
    })),
  };
}

function isOver({ daysLeft, ended }: { readonly daysLeft: number; readonly ended: boolean }): boolean {
  return ended || daysLeft < 0;
}
