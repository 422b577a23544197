import { randomUUID } from "node:crypto";
import { drizzle } from "drizzle-orm/postgres-js";
import postgres from "postgres";
import { USUAL_WISHES } from "@/core/options/asked/wishes";
import type { Finger } from "@/core/hand/finger";
import type { NoteId } from "@/core/passage/note";
import type { Db } from "@/db/client";
import { keepEdit } from "@/db/queries/edits";
import { fingeringById, fingeringsOf } from "@/db/queries/fingerings";
import { piecesWithPassages } from "@/db/queries/pieces";
import { passage } from "@/db/schema";
import * as schema from "@/db/schema";
import { dueIn } from "@/server/verdicts/due";
import { addTyped } from "@/server/options/editions";
import { passageData } from "@/server/passages/passages";
import { chooseRemedies } from "@/server/options/remedies";
import { reworkOptions } from "@/server/options/rework";
import { startRest } from "@/server/hands/rests";
import { around } from "@/server/threads/fingerings";
import { walkBack } from "@/server/options/walk";
import { chooseWishes, retarget } from "@/server/options/wishes";
import { filledDatabase } from "../support/database";
import { keptPassage } from "../support/kept-passage";
import { noteXml, scoreXml } from "../support/musicxml";
import { errands } from "../support/threads-here";
import { somePlayer } from "../support/some-player";

let db: Db;
let address: string;
let drop: () => Promise<void>;
let passageId: string;
let fingeringId: string;

const UP = ["C4", "E4", "G4", "C5", "E5", "G5", "C6", "G5"];
const score = scoreXml(
  [
    UP.map((p) => noteXml(p, { length: 6 })).join("") +
      "<backup><duration>48</duration></backup>" +
      noteXml("C3", { length: 48, staff: 2, voice: 5 }),
  ],
  { staves: 2 },
);
const at = (n: number): NoteId => `b1-s1-v1-n${n}` as NoteId;

let begun: Awaited<ReturnType<typeof filledDatabase<string>>>;
beforeAll(async () => {
  begun = await filledDatabase((filled) => keptPassage(filled, score, { hands: "both" }));
  passageId = begun.value;
});
afterAll(() => begun.drop());
beforeEach(async () => {
  ({ db, address, drop } = await begun.copy());
  fingeringId = (await fingeringsOf(db, passageId))[0]!.id;
});
afterEach(async () => {
  errands.meanwhile = null;
  await drop();
});

const data = async () => (await passageData(db, passageId))!;
const option = async () => (await fingeringById(db, fingeringId))!;
const undo = async () =>
  walkBack(db, { id: randomUUID(), fingeringId, onVersion: (await option()).version, way: "undo" });

async function change(kind: "pin" | "rule-out", note: NoteId, finger: Finger): Promise<void> {
  const { study, wishes } = await data();
  const { version, pins: before, ruledOut: out, leaning } = await option();
  const pins = kind === "pin" ? { ...before, [note]: finger } : before;
  const ruledOut = kind === "rule-out" ? { ...out, [note]: [finger] } : out;
  const digits = around({ study, wishes, leaning, pins, ruledOut });
  const asked = { id: randomUUID(), fingeringId, onVersion: version, kind, noteId: note, finger };
  expect(await keepEdit(db, { ...asked, digits, pins, ruledOut })).toMatchObject({ outcome: "kept" });
}

describe("undo, after the music or the fingers have changed", () => {
  it("leaves no note of a remedy without a digit", async () => {
    await change("pin", at(4), 4);
    const kept = await chooseRemedies(db, {
      id: randomUUID(),
      passageId,
      notes: { [at(1)]: { kind: "other-hand", hand: "left" } },
    });
    expect(kept.ok).toBe(true);
    expect((await option()).digits[at(1)]).toBeDefined();
    await undo();
    const { digits, pins } = await option();
    expect(pins).toEqual({});
    const { study, wishes } = await data();
    expect(digits).toEqual(around({ study, wishes, leaning: "balanced", pins: {}, ruledOut: {} }));
  });

  it("brings back no finger that rests by now", async () => {
    await change("pin", at(8), 5);
    const rest = {
      id: randomUUID(),
      playerId: (await somePlayer(db)).id,
      side: "right",
      fingers: [2 as Finger],
      reason: "A cut.",
      reviewOn: "2999-01-01",
    } as const;
    expect((await startRest(db, { ...rest, fingers: [...rest.fingers] })).ok).toBe(true);
    await reworkOptions(db, { passageId });
    await undo();
    const { digits, pins } = await option();
    expect(pins).toEqual({});
    expect(UP.map((_, i) => digits[at(i + 1)])).not.toContain(2);
    expect(UP.every((_, i) => digits[at(i + 1)] !== undefined)).toBe(true);
  });

  it("works out for the tempo of now what was made at another", async () => {
    await change("pin", at(4), 4);
    expect((await retarget(db, { id: randomUUID(), passageId, tempo: 200 })).ok).toBe(true);
    await undo();
    const { study, wishes } = await data();
    expect((await option()).digits).toEqual(around({ study, wishes, leaning: "balanced", pins: {}, ruledOut: {} }));
  });

  it("keeps to digits that somebody typed, and not to a finger that rests", async () => {
    const typed = randomUUID();
    await addTyped(db, { id: typed, passageId, author: "a teacher" });
    fingeringId = typed;
    await change("pin", at(3), 4);
    const before = (await option()).digits;
    await change("pin", at(5), 3);
    expect((await retarget(db, { id: randomUUID(), passageId, tempo: 60 })).ok).toBe(true);
    await undo();
    expect(await option()).toMatchObject({ pins: { [at(3)]: 4 }, digits: before });
  });
});

describe("working out anew", () => {
  it("keeps what was ruled out when a remedy is chosen at the note", async () => {
    const { digits } = await option();
    const was = digits[at(3)]!;
    await change("rule-out", at(3), was);
    const notes = { [at(3)]: { kind: "flat" as const } };
    expect((await chooseRemedies(db, { id: randomUUID(), passageId, notes })).ok).toBe(true);
    expect((await option()).digits[at(3)]).not.toBe(was);
    expect((await option()).ruledOut).toEqual({ [at(3)]: [was] });
  });

  it("never leaves digits that contradict a pin made meanwhile", async () => {
    let pinned = false;
    errands.meanwhile = async (name) => {
      if (name !== "followed" || pinned) return;
      pinned = true;
      const other = ((await option()).digits[at(4)] === 5 ? 4 : 5) as Finger;
      await change("pin", at(4), other);
    };
    await retarget(db, { id: randomUUID(), passageId, tempo: 170 });
    const { digits, pins } = await option();
    expect(pinned).toBe(true);
    expect(Object.keys(pins)).toEqual([at(4)]);
    expect(digits[at(4)]).toBe(pins[at(4)]);
    const { study, wishes } = await data();
    expect(digits).toEqual(around({ study, wishes, leaning: "balanced", pins, ruledOut: {} }));
  });

  it("ends with what was asked last, where two changes overtake one another", async () => {
    let asked = false;
    errands.meanwhile = async (name) => {
      if (name !== "followed" || asked) return;
      asked = true;
      await retarget(db, { id: randomUUID(), passageId, tempo: 60 });
    };
    const after = { ...USUAL_WISHES, noThumbOnBlack: true };
    await chooseWishes(db, { id: randomUUID(), passageId, before: USUAL_WISHES, after });
    const { study, wishes, options } = await data();
    expect(study.manner.tempo).toBe(60);
    expect(wishes.noThumbOnBlack).toBe(true);
    expect(options[0]!.digits).toEqual(around({ study, wishes, leaning: "balanced", pins: {}, ruledOut: {} }));
  });

  it("is caught up with by the next who opens the passage, where the server went down in between", async () => {
    await db.update(passage).set({ tempo: 200, revision: 7 });
    const { study, wishes, options } = await data();
    expect(options[0]!.digits).toEqual(around({ study, wishes, leaning: "balanced", pins: {}, ruledOut: {} }));
    const kept = await fingeringsOf(db, passageId);
    expect(kept.map(({ follows }) => follows)).toEqual(kept.map(() => 7));
  });
});

describe("what is sent twice", () => {
  it("is walked back once, over a change of the whole passage too", async () => {
    const wish = (after: typeof USUAL_WISHES, before = USUAL_WISHES) =>
      chooseWishes(db, { id: randomUUID(), passageId, before, after });
    const first = { ...USUAL_WISHES, noThumbOnBlack: true };
    await wish(first);
    await wish({ ...first, noFourthAndFifth: true }, first);
    const asked = { id: randomUUID(), fingeringId, onVersion: (await option()).version, way: "undo" } as const;
    await walkBack(db, asked);
    await walkBack(db, asked);
    expect((await data()).wishes).toMatchObject({ noThumbOnBlack: true, noFourthAndFifth: false });
  });

  it("does not put an older tempo over a newer one", async () => {
    const older = { id: randomUUID(), passageId, tempo: 70 };
    await retarget(db, older);
    await retarget(db, { id: randomUUID(), passageId, tempo: 80 });
    await retarget(db, older);
    expect((await data()).study.manner.tempo).toBe(80);
  });
});

describe("queries", () => {
  it("of the front page, the passages due and the options do not grow with what there is", async () => {
    let count = 0;
    const sql = postgres(address, { max: 2, debug: () => void count++ });
    const counted = drizzle(sql, { schema, casing: "snake_case" }) as unknown as Db;
    const { id } = await somePlayer(db);
    const asked = async (): Promise<number> => {
      count = 0;
      await dueIn(counted, id, await piecesWithPassages(counted, id));
      await fingeringsOf(counted, passageId);
      return count;
    };
    await asked();
    const few = await asked();
    for (let i = 0; i < 5; i++) {
      await keptPassage(db, score, { hands: "both", title: `Another ${i}` });
      await addTyped(db, { id: randomUUID(), passageId, author: "" });
    }
    expect(await asked()).toBe(few);
    await sql.end();
  });
});
