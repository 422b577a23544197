import { randomUUID } from "node:crypto";
import { studyOf, type StudyData } from "@/core/fingering/study/study-data";
import { playSimulated } from "@/core/trials/simulated/simulated-piano";
import type { Db } from "@/db/client";
import { felt } from "@/db/schema";
import { keepTake } from "@/db/queries/takes";
import type { DemoTried } from "@/demo/scenario";
import type { OptionData } from "../types";
import { cameTo, packed } from "./takes";

/** Faults in 100 onsets of the invented pianist: where it goes, and beyond where it breaks, late in the passage. */
const FAULTS = { well: 0, beyond: 14 };
const FAULTS_FROM = 0.5;
/** Tension that is felt, in the bar before the one that fails where it breaks: 0 to 10. */
const TENSION = { well: 2, beyond: 7 };
const DAY_MS = 86_400_000;
const TAKE_MS = 240_000;

interface TryingOut {
  readonly passageId: string;
  readonly study: StudyData;
  readonly option: Pick<OptionData, "id" | "version" | "digits">;
  readonly story: DemoTried;
}

/** Keeps what the invented pianist played of an option in the weeks before. The same story plays the same. */
export async function tryOut(db: Db, { passageId, study, option, story }: TryingOut): Promise<void> {
  const firstBar = study.passage.notes[0]!.bar;
  for (const [d, daysAgo] of story.daysAgo.entries()) {
    for (const [t, tempo] of story.tempi.entries()) {
      const at = studyOf({ ...study, manner: { ...study.manner, tempo } });
      const isBeyond = story.breaks !== null && tempo > story.breaks;
      const seed = 1000 * d + 10 * t;
      const faults = isBeyond ? FAULTS.beyond : FAULTS.well;
      const { take } = playSimulated(at, option.digits, { seed, tempo, faults, faultsFrom: FAULTS_FROM });
      const played = { ...take, source: "midi piano" } as const;
      const kept = {
        ...packed(played),
        id: randomUUID(),
        passageId,
        fingeringId: option.id,
        version: option.version,
        source: played.source,
        tempo,
        click: take.click,
        hands: take.hands,
        at: new Date(Date.now() - daysAgo * DAY_MS + t * TAKE_MS),
      };
      await keepTake(db, kept, cameTo(at, option.digits, played, []));
      const bars = isBeyond ? { from: firstBar, to: firstBar } : null;
      const amount = isBeyond ? TENSION.beyond : TENSION.well;
      await db
        .insert(felt)
        .values({ takeId: kept.id, places: [{ place: "forearm", side: "right" }], amount, bars, at: kept.at });
    }
  }
}
