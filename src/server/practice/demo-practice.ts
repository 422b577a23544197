import { randomUUID } from "node:crypto";
import { eq } from "drizzle-orm";
import { studyOf } from "@/core/fingering/study/study-data";
import { doseAMinute, doseOf, NO_DOSE, type Dose } from "@/core/practice/planner/dose";
import { dayAfter, type Day } from "@/core/time/days";
import type { Db } from "@/db/client";
import { block, dayPlan, diaryNote, practiceDay } from "@/db/schema";
import { demoDays, DEMO_NOTES } from "@/demo/practice";
import { DEMO_PIECES } from "@/demo/scenario";
import { passageGiven } from "../passages/passage-given";

/** The hour of the day at which the invented pianist practises, UTC. */
const HOUR = 9;

/** Keeps the six weeks that the invented pianist practised; nothing where they are there. @param passages ids by title */
export async function keepPractised(
  db: Db,
  pianistId: string,
  passages: ReadonlyMap<string, string>,
  day: Day,
): Promise<void> {
  const [there] = await db.select({ id: dayPlan.id }).from(dayPlan).where(eq(dayPlan.pianistId, pianistId)).limit(1);
  if (there) return;
  const doses = await dosesOf(db, [...passages.values()]);
  const days = demoDays(DEMO_PIECES).map((one) => ({ ...one, id: randomUUID(), on: dayAfter(day, -one.daysAgo) }));
  const blocks = days.flatMap(({ id, on, blocks: own }) =>
    own.map(({ passage, tempo, count, loose, note, ...rest }, place) => {
      const passageId = passage === null ? null : passages.get(passage)!;
      const dose = passageId === null ? NO_DOSE : doseOf(doses.get(passageId) ?? NO_DOSE, rest.minutes);
      const doneAt = new Date(
        `${on}T${String(HOUR).padStart(2, "0")}:${String(10 * (place + 1)).padStart(2, "0")}:00Z`,
      );
      const came = { tempo, good: count?.good ?? null, plays: count?.plays ?? null, loose, note };
      const cost = { doseRight: dose.right, doseLeft: dose.left };
      return {
        ...rest,
        ...came,
        ...cost,
        dayPlanId: id,
        place,
        passageId,
        state: "done" as const,
        doneMinutes: rest.minutes,
        doneAt,
      };
    }),
  );
  await db.transaction(async (tx) => {
    await tx.insert(dayPlan).values(days.map(({ id, on }) => ({ id, on, pianistId, minutes: 45 })));
    await tx.insert(block).values(blocks);
    const practised = days.flatMap(({ on, blocks: own }) =>
      own.flatMap(({ passage }) => (passage === null ? [] : [{ passageId: passages.get(passage)!, day: on }])),
    );
    await tx.insert(practiceDay).values(practised).onConflictDoNothing();
    await tx.insert(diaryNote).values(
      DEMO_NOTES.map(({ daysAgo, passage, text, author }) => {
        const about = passage === null ? null : passages.get(passage)!;
        return { id: randomUUID(), pianistId, passageId: about, on: dayAfter(day, -daysAgo), text, author };
      }),
    );
  });
}

/** What a minute of each passage costs, on its first option. */
async function dosesOf(db: Db, passages: readonly string[]): Promise<ReadonlyMap<string, Dose>> {
  const doses = new Map<string, Dose>();
  for (const id of passages) {
    const given = await passageGiven(db, id);
    const [option] = given?.options ?? [];
    if (given && option) doses.set(id, doseAMinute(studyOf(given.study), option.digits));
  }
  return doses;
}
