import { randomUUID } from "node:crypto";
import { USUAL_WISHES } from "@/core/options/asked/wishes";
import { NO_PLAN_MARKS, type PlanMarks } from "@/core/motion/marks/plan-marks";
import type { NoteId } from "@/core/passage/note";
import type { Db } from "@/db/client";
import { keepEdit } from "@/db/queries/edits";
import { fingeringById, fingeringsOf } from "@/db/queries/fingerings";
import { renameMarks } from "@/db/queries/passages";
import { passageData } from "@/server/passages/passages";
import { markPlan } from "@/server/passages/plan-marks";
import { around } from "@/server/threads/fingerings";
import { walkBack } from "@/server/options/walk";
import { chooseWishes, shareOut } from "@/server/options/wishes";
import { filledDatabase } from "../support/database";
import { keptPassage } from "../support/kept-passage";
import { noteXml, scoreXml } from "../support/musicxml";

let db: Db;
let drop: () => Promise<void>;
let passageId: string;
let fingeringId: string;
let notes: readonly NoteId[];

const UP = ["C4", "E4", "G4", "C5", "E5", "G5", "C6", "G5"];
const DOWN = ["C3", "G3", "E3", "C3"];
const score = scoreXml(
  [
    UP.map((p) => noteXml(p, { length: 6 })).join("") +
      "<backup><duration>48</duration></backup>" +
      DOWN.map((p) => noteXml(p, { length: 12, staff: 2, voice: 5 })).join(""),
  ],
  { staves: 2 },
);

let begun: Awaited<ReturnType<typeof filledDatabase<string>>>;
beforeAll(async () => {
  begun = await filledDatabase((filled) => keptPassage(filled, score, { hands: "both" }));
  passageId = begun.value;
});
afterAll(() => begun.drop());
beforeEach(async () => {
  ({ db, drop } = await begun.copy());
  fingeringId = (await fingeringsOf(db, passageId))[0]!.id;
  notes = (await data()).study.passage.notes.filter((n) => n.staff === 1).map((n) => n.id);
});
afterEach(() => drop());

const data = async () => (await passageData(db, passageId))!;
const option = async () => (await fingeringById(db, fingeringId))!;
const walk = async (way: "undo" | "redo", id = randomUUID()) => {
  const answer = await walkBack(db, { id, fingeringId, onVersion: (await option()).version, way });
  if (!answer.ok) throw new Error(answer.message);
  return answer.value;
};

/** As a page does: the rest is worked out around the pin. */
async function pin(note: NoteId, finger: 1 | 2 | 3 | 4 | 5): Promise<void> {
  const { version, pins: before, leaning } = await option();
  const pins = { ...before, [note]: finger };
  const { study, wishes } = await data();
  const digits = around({ study, wishes, leaning, pins, ruledOut: {} });
  const asked = { id: randomUUID(), fingeringId, onVersion: version, kind: "pin", noteId: note, finger } as const;
  const kept = await keepEdit(db, { ...asked, digits, pins, ruledOut: {} });
  expect(kept.outcome).toBe("kept");
}

const stateOf = async () => {
  const { wishes, study, planMarks } = await data();
  const { digits, pins } = await option();
  return {
    noThumbOnBlack: wishes.noThumbOnBlack,
    taken: study.passage.taken,
    signs: planMarks.signs.length,
    digits,
    pins,
  };
};

describe("undo and redo on the Bench", () => {
  it("walk along pins, rules, shared hands and signs in the order they were made, all the way back and forth", async () => {
    const states = [await stateOf()];
    const first = notes[0]!;
    const sign: PlanMarks["signs"][number] = {
      id: "own",
      sign: "rise",
      note: first,
      to: null,
      above: true,
      words: null,
    };
    const steps = [
      () => pin(notes[4]!, 4),
      () =>
        chooseWishes(db, {
          id: randomUUID(),
          passageId,
          before: USUAL_WISHES,
          after: { ...USUAL_WISHES, noThumbOnBlack: true },
        }),
      () => shareOut(db, { id: randomUUID(), passageId, before: {}, after: { [first]: "left" } }),
      () => pin(notes[6]!, 5),
      () =>
        markPlan(db, {
          id: randomUUID(),
          passageId,
          before: NO_PLAN_MARKS,
          after: { ...NO_PLAN_MARKS, signs: [sign] },
        }),
    ];
    for (const step of steps) {
      await step();
      states.push(await stateOf());
    }
    expect(await option()).toMatchObject({ undoable: 5, redoable: 0 });
    for (let back = 4; back >= 0; back--) {
      await walk("undo");
      expect(await stateOf()).toEqual(states[back]);
    }
    expect(await option()).toMatchObject({ undoable: 0, redoable: 5 });
    expect((await walk("undo")).options).toBeNull();
    for (let on = 1; on <= 5; on++) {
      await walk("redo");
      expect(await stateOf()).toEqual(states[on]);
    }
    expect(await option()).toMatchObject({ undoable: 5, redoable: 0 });
  });

  it("take back one change and leave what another window changed besides", async () => {
    await chooseWishes(db, {
      id: randomUUID(),
      passageId,
      before: USUAL_WISHES,
      after: { ...USUAL_WISHES, noThumbOnBlack: true },
    });
    await markPlan(db, {
      id: randomUUID(),
      passageId,
      before: NO_PLAN_MARKS,
      after: { ...NO_PLAN_MARKS, school: "curled-first" },
    });
    await walk("undo");
    expect((await data()).planMarks.school).toBe("as-played");
    const answer = await walk("undo");
    expect(answer.options).toHaveLength((await fingeringsOf(db, passageId)).length);
    expect((await data()).wishes.noThumbOnBlack).toBe(false);
  });

  it("have nothing to do again once something else was done, nor to take back where the notes have changed", async () => {
    await shareOut(db, { id: randomUUID(), passageId, before: {}, after: { [notes[0]!]: "left" } });
    await walk("undo");
    expect((await option()).redoable).toBe(1);
    await pin(notes[4]!, 4);
    expect(await option()).toMatchObject({ undoable: 1, redoable: 0 });
    await shareOut(db, { id: randomUUID(), passageId, before: {}, after: { [notes[0]!]: "left" } });
    await db.transaction((tx) => renameMarks(tx, passageId, (id) => id));
    expect((await option()).undoable).toBe(1);
  });

  it("does not log what changes nothing", async () => {
    await chooseWishes(db, { id: randomUUID(), passageId, before: USUAL_WISHES, after: USUAL_WISHES });
    expect((await option()).undoable).toBe(0);
  });
});
