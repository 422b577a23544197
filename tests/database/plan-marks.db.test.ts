import { randomUUID } from "node:crypto";
import { NO_PLAN_MARKS, type PlanMarks } from "@/core/motion/marks/plan-marks";
import type { NoteId } from "@/core/passage/note";
import type { Db } from "@/db/client";
import { renameMarks } from "@/db/queries/passages";
import { exportOption } from "@/server/export/export";
import { passageData } from "@/server/passages/passages";
import { markPlan, PlanMarksAsked } from "@/server/passages/plan-marks";
import { compose } from "@/demo/compose";
import { darkWater } from "@/demo/pieces/dark-water";
import { freshDatabase } from "../support/database";
import { keptPassage } from "../support/kept-passage";

let db: Db;
let drop: () => Promise<void>;
let passageId: string;

beforeAll(async () => {
  ({ db, drop } = await freshDatabase());
  passageId = await keptPassage(db, compose(darkWater), { toBar: 2 });
});
afterAll(() => drop());

const data = async () => (await passageData(db, passageId))!;
const note = async (i: number): Promise<NoteId> =>
  (await data()).study.passage.notes.filter((n) => n.staff === 1)[i]!.id;

async function marks(): Promise<PlanMarks> {
  const at = await note(3);
  return {
    signs: [{ id: "own", sign: "words", note: at, to: null, above: true, words: "think of the far end" }],
    hidden: [`rise ${at}`],
    touches: { [at]: { source: "weight", start: "above", end: "held" } } as PlanMarks["touches"],
    watched: ["joint-caves-in"],
    tune: { notes: [at] },
    free: [at],
    school: "curled-first",
  };
}

describe("what the player makes of a plan", () => {
  it("begins empty, is kept whole, and is refused with a sentence where it makes no sense", async () => {
    expect((await data()).planMarks).toEqual(NO_PLAN_MARKS);
    const planMarks = await marks();
    const asked = PlanMarksAsked.parse({ id: randomUUID(), passageId, before: NO_PLAN_MARKS, after: planMarks });
    expect(await markPlan(db, asked)).toMatchObject({ ok: true, value: { is: planMarks } });
    expect((await data()).planMarks).toEqual(planMarks);
    const flourish = { ...planMarks, signs: [{ ...planMarks.signs[0]!, sign: "flourish" }] };
    expect(
      PlanMarksAsked.safeParse({ id: randomUUID(), passageId, before: NO_PLAN_MARKS, after: flourish }).success,
    ).toBe(false);
    const gone = await markPlan(db, {
      id: randomUUID(),
      passageId: crypto.randomUUID(),
      before: NO_PLAN_MARKS,
      after: planMarks,
    });
    expect(gone).toMatchObject({ ok: false });
  });

  it("is put together from two windows: neither loses what the other wrote", async () => {
    const before = (await data()).planMarks;
    const at = await note(5);
    const sign = (id: string): PlanMarks["signs"][number] => ({
      id,
      sign: "rise",
      note: at,
      to: null,
      above: true,
      words: null,
    });
    await markPlan(db, {
      id: randomUUID(),
      passageId,
      before,
      after: { ...before, signs: [...before.signs, sign("one")] },
    });
    const second = { ...before, signs: [sign("two")], watched: [] };
    await markPlan(db, { id: randomUUID(), passageId, before, after: second });
    const { signs, watched, school } = (await data()).planMarks;
    expect(signs.map((s) => s.id)).toEqual(["one", "two"]);
    expect(watched).toEqual([]);
    expect(school).toBe("curled-first");
    await markPlan(db, { id: randomUUID(), passageId, before: (await data()).planMarks, after: await marks() });
  });

  it("goes out with the file: own words always, the plan's signs where they are asked for", async () => {
    const [option] = (await data()).options;
    const text = async (signs: "own" | "all") =>
      new TextDecoder().decode((await exportOption(db, option!.id, "all", signs))!.bytes);
    const [own, plan] = [await text("own"), await text("all")];
    expect(own).toContain("<words>think of the far end</words>");
    expect(own).not.toContain("<bracket");
    expect(plan).toContain("<words>think of the far end</words>");
    expect(plan).toContain("<bracket");
    expect(plan).toMatch(/<words>turn towards the (thumb|little finger)<\/words>/);
  });

  it("follows notes that take on new names, and leaves those that are gone", async () => {
    await markPlan(db, { id: randomUUID(), passageId, before: NO_PLAN_MARKS, after: await marks() });
    const at = await note(3);
    await db.transaction((tx) =>
      renameMarks(tx, passageId, (id) => (id === at ? ("b9-s1-v1-n1" as NoteId) : undefined)),
    );
    const { planMarks } = await data();
    expect(planMarks.signs[0]!.note).toBe("b9-s1-v1-n1");
    expect(planMarks.hidden).toEqual(["rise b9-s1-v1-n1"]);
    expect(Object.keys(planMarks.touches)).toEqual(["b9-s1-v1-n1"]);
    await db.transaction((tx) => renameMarks(tx, passageId, () => undefined));
    expect((await data()).planMarks).toMatchObject({ signs: [], hidden: [], touches: {}, tune: { notes: [] } });
  });
});
