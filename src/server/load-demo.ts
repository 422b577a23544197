import { findingFirstOptions } from "@/core/fingering/first-options";
import { studyOf } from "@/core/fingering/study-data";
import { drain } from "@/core/drain";
import type { Db } from "@/db/client";
import { addFingerings } from "@/db/queries/fingerings";
import { firstPianist } from "@/db/queries/pianists";
import { handMeasurement, instrument, pianist, recital } from "@/db/schema";
import { compose } from "@/demo/compose";
import { DEMO_INSTRUMENT, DEMO_MEASUREMENTS, DEMO_PIANIST, DEMO_PIECES, DEMO_RECITAL } from "@/demo/scenario";
import { addPassage, passageData } from "./passages";
import { importPiece } from "./pieces";
import type { Answer } from "./types";

/** Loads the demo through the same doors a player uses; false when there is a pianist already. */
export async function loadDemo(db: Db): Promise<boolean> {
  if (await firstPianist(db)) return false;
  await db.transaction(async (tx) => fill(tx as unknown as Db));
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
      const { passageId } = done(await addPassage(db, { ...spot, pieceId }));
      const { study } = (await passageData(db, passageId))!;
      const options = drain(findingFirstOptions(studyOf(study)));
      await addFingerings(
        db,
        passageId,
        options.map(({ fingering, ...option }) => ({ ...option, digits: fingering })),
      );
    }
  }
}

function done<T>(answer: Answer<T>): T {
  if (!answer.ok) throw new Error(`The demo cannot be loaded: ${answer.message}`);
  return answer.value;
}
