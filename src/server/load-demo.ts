import { randomUUID } from "node:crypto";
import { dayAfter } from "@/core/time/days";
import type { Db } from "@/db/client";
import { addFirstFingerings } from "@/db/queries/fingerings";
import { keepPracticeDay } from "@/db/queries/passages";
import { firstPianist } from "@/db/queries/pianists";
import { handMeasurement, instrument, pianist, recital } from "@/db/schema";
import { compose } from "@/demo/compose";
import {
  DEMO_INSTRUMENT,
  DEMO_MEASUREMENTS,
  DEMO_PIANIST,
  DEMO_PIECES,
  DEMO_RECITAL,
  type DemoChoice,
} from "@/demo/scenario";
import { serverZone, today } from "./players/day";
import { passageGiven } from "./passages/passage-given";
import { addPassage } from "./passages/passages";
import { importPiece } from "./pieces/pieces";
import { inThread } from "./threads/pool";
import type { Answer } from "./types";
import { addVerdict } from "./verdicts/verdicts";

/** Loads the demo through the same doors a player uses; false when there is a pianist already. */
export async function loadDemo(db: Db): Promise<boolean> {
  if (await firstPianist(db)) return false;
  await db.transaction((tx) => fill(tx));
  return true;
}

async function fill(db: Db): Promise<void> {
  const [player] = await db.insert(pianist).values(DEMO_PIANIST).returning();
  const pianistId = player!.id;
  await db.insert(handMeasurement).values(DEMO_MEASUREMENTS.map((m) => ({ ...m, pianistId })));
  await db.insert(instrument).values({ ...DEMO_INSTRUMENT, pianistId });
  const [evening] = await db
    .insert(recital)
    .values({ pianistId, title: DEMO_RECITAL.title, heldOn: DEMO_RECITAL.date })
    .returning();
  for (const { score, fileName, passages } of DEMO_PIECES) {
    const bytes = new TextEncoder().encode(compose(score));
    const { pieceId } = done(await importPiece(db, pianistId, { name: fileName, bytes }, evening!.id));
    for (const spot of passages) {
      const { chosen, ...asked } = spot;
      const { passageId } = done(await addPassage(db, { ...asked, pieceId }));
      const { study } = (await passageGiven(db, passageId))!;
      const options = await inThread("firstOptions", { study });
      const kept = await addFirstFingerings(
        db,
        passageId,
        options.map(({ fingering, ...option }) => ({ ...option, digits: fingering })),
      );
      if (chosen) await choose(db, passageId, chosen, new Map(kept!.map((o) => [o.name, o.id])));
    }
  }
}

/** What has been said about a passage when the demo begins. */
async function choose(
  db: Db,
  passageId: string,
  { decideIn, known, taken }: DemoChoice,
  ids: ReadonlyMap<string, string>,
): Promise<void> {
  const say = async (event: Partial<VerdictSaid> & Pick<VerdictSaid, "kind">): Promise<void> => {
    const usual = { fingeringId: null, reason: "", author: DEMO_PIANIST.name, decideOn: null, reviewAfter: null };
    done(await addVerdict(db, { ...usual, ...event, id: randomUUID(), passageId }));
  };
  if (known) await say({ kind: "known", fingeringId: ids.get(known) ?? null });
  if (decideIn !== undefined) await say({ kind: "undecided", decideOn: dayAfter(today(serverZone()), decideIn) });
  if (!taken) return;
  const { option, reason, reviewAfter } = taken;
  await say({ kind: "taken", fingeringId: ids.get(option) ?? null, reason, reviewAfter });
  for (let i = 0; i < reviewAfter; i++)
    await keepPracticeDay(db, randomUUID(), passageId, dayAfter(today(serverZone()), i), true);
}

type VerdictSaid = Parameters<typeof addVerdict>[1];

function done<T>(answer: Answer<T>): T {
  if (!answer.ok) throw new Error(`The demo cannot be loaded: ${answer.message}`);
  return answer.value;
}
