import { randomUUID } from "node:crypto";
import { bestFingerings, judge } from "@/core/fingering/study/study";
import { studyOf } from "@/core/fingering/study/study-data";
import { leaningStudy } from "@/core/options/leaning-study";
import { leaningById } from "@/core/options/leanings";
import { fingered } from "@/core/merits";
import { weakLoad } from "@/core/merits/weak-load";
import { NO_PLAN_MARKS, type PlanMarks } from "@/core/motion/marks/plan-marks";
import type { NoteId } from "@/core/passage/note";
import type { Db } from "@/db/client";
import { addFingering } from "@/db/queries/fingerings";
import { walkBack } from "@/server/options/walk";
import { chooseWishes } from "@/server/options/wishes";
import { passageData } from "@/server/passages/passages";
import { markPlan } from "@/server/passages/plan-marks";
import { freshDatabase } from "../support/database";
import { keptPassage } from "../support/kept-passage";
import { noteXml, scoreXml } from "../support/musicxml";

let db: Db;
let drop: () => Promise<void>;
let passageId: string;

const NAMES = ["E4", "F4", "G4", "A4", "B4", "C5", "B4", "A4", "G4", "F4", "E4", "D4"];
const score = scoreXml([NAMES.map((pitch) => noteXml(pitch, { length: 3 })).join("")]);
/** The digits of the option that looks after the tune, worked out for a study by themselves. */
const LEANING = "strong-on-tune";

beforeAll(async () => {
  ({ db, drop } = await freshDatabase());
  passageId = await keptPassage(db, score, { toBar: 1 });
  const { wishes } = await data();
  // Returns that keep their fingers would hold the tune's to them.
  await chooseWishes(db, { id: randomUUID(), passageId, before: wishes, after: { ...wishes, tying: "none" } });
});
afterAll(() => drop());

const data = async () => (await passageData(db, passageId))!;
const worked = async () => {
  const study = studyOf((await data()).study);
  return bestFingerings(leaningStudy(study, leaningById(LEANING)), {}, 1)[0]!;
};
const mark = (before: PlanMarks, after: PlanMarks) => markPlan(db, { id: randomUUID(), passageId, before, after });

describe("the tune as the player has marked it", () => {
  it("reaches the search, the prices and the merits, and is taken back with one step", async () => {
    const before = await worked();
    const id = randomUUID();
    await addFingering(db, passageId, { id, origin: "solved", leaning: LEANING, digits: before, pins: {} });
    const weak = (Object.keys(before) as NoteId[]).filter((note) => before[note]! >= 4);
    expect(weak.length).toBeGreaterThan(0);
    const plain = studyOf((await data()).study);

    expect(await mark(NO_PLAN_MARKS, { ...NO_PLAN_MARKS, tune: { notes: weak } })).toMatchObject({ ok: true });
    const marked = studyOf((await data()).study);
    const load = (study: typeof plain) => weakLoad.find(fingered(study, judge(study, before))).amount;
    expect(load(marked)).toBeGreaterThan(load(plain));

    const option = async () => (await data()).options.find((one) => one.id === id)!;
    const followed = await option();
    expect(followed.digits).not.toEqual(before);
    expect(followed.digits).toEqual(await worked());
    const loadOf = (digits: typeof before) => weakLoad.find(fingered(marked, judge(marked, digits))).amount;
    expect(loadOf(await worked())).toBeLessThan(loadOf(before));

    await walkBack(db, { id: randomUUID(), fingeringId: id, onVersion: followed.version, way: "undo" });
    expect((await option()).digits).toEqual(before);
    expect((await data()).planMarks.tune).toBeNull();
  });
});
