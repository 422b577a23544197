import { daysBetween, type Day } from "@/core/time/days";
import type { Zone } from "@/core/time/zone";
import type { Db } from "@/db/client";
import { piecesWithPassages } from "@/db/queries/pieces";
import { recitals } from "@/db/queries/pianists";
import { today } from "../players/day";
import { dueIn } from "../verdicts/due";
import { player } from "../players/player";
import type { RepertoireData } from "../types";

/** Everything the Repertoire shows. Its queries do not grow with pieces and passages. */
export async function repertoireData(db: Db, zone: Zone): Promise<RepertoireData> {
  const { id, name } = await player(db);
  const [pieces, dates] = await Promise.all([piecesWithPassages(db, id), recitals(db, id)]);
  const now = today(zone);
  return {
    player: name,
    recitals: dates.map(({ id: recitalId, title, heldOn }) => ({
      id: recitalId,
      title,
      heldOn,
      daysLeft: daysBetween(now, heldOn as Day),
    })),
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
