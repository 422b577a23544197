import { randomUUID } from "node:crypto";
import type { Finger } from "@/core/hand/finger";
import type { NoteId } from "@/core/passage/note";
import type { Db } from "@/db/client";
import { fingeringsOf } from "@/db/queries/fingerings";
import { EditAsked, editOption } from "@/server/options/options";
import { walkBack } from "@/server/options/walk";
import { addVerdict, VerdictAsked, verdictsData } from "@/server/verdicts/verdicts";
import { freshDatabase } from "../support/database";
import { keptPassage } from "../support/kept-passage";
import { noteXml, scoreXml } from "../support/musicxml";

const HOUR_MS = 3_600_000;
const NOTE = "b1-s1-v1-n1" as NoteId;
/** Everything but what says which moment it is. */
const REAL = [
  ...(["hrtime", "nextTick", "performance", "queueMicrotask", "setImmediate", "clearImmediate"] as const),
  ...(["setInterval", "clearInterval", "setTimeout", "clearTimeout"] as const),
];

let db: Db;
let drop: () => Promise<void>;
let passageId: string;

beforeAll(async () => {
  ({ db, drop } = await freshDatabase());
  passageId = await keptPassage(db, scoreXml([["C4", "D4", "E4", "F4"].map((p) => noteXml(p)).join("")]));
});
afterAll(() => drop());
afterEach(() => jest.useRealTimers());

const option = async () => (await fingeringsOf(db, passageId))[0]!;

async function pin(finger: Finger): Promise<void> {
  const { id: fingeringId, version, digits, pins } = await option();
  const asked = { id: randomUUID(), fingeringId, onVersion: version, kind: "pin", noteId: NOTE, finger };
  const all = { ...asked, digits: { ...digits, [NOTE]: finger }, pins: { ...pins, [NOTE]: finger }, ruledOut: {} };
  expect(await editOption(db, EditAsked.parse(all))).toMatchObject({ ok: true });
}

describe("a clock that is set", () => {
  it("back an hour and forward a year changes nothing of what came after what", async () => {
    const now = Date.now();
    for (const [at, finger] of [
      [now, 2],
      [now - HOUR_MS, 3],
      [now + 365 * 24 * HOUR_MS, 4],
      [now, 5],
    ] as const) {
      jest.useFakeTimers({ now: at, doNotFake: REAL });
      await pin(finger);
      const said = { id: randomUUID(), passageId, kind: "taken", fingeringId: (await option()).id, author: "Me" };
      await addVerdict(db, VerdictAsked.parse({ ...said, reason: String(finger), decideOn: null, reviewAfter: null }));
      jest.useRealTimers();
    }
    const walked: (number | null | undefined)[] = [];
    for (const way of ["undo", "undo", "undo", "redo"] as const) {
      const { id: fingeringId, version } = await option();
      await walkBack(db, { id: randomUUID(), fingeringId, onVersion: version, way });
      walked.push((await option()).digits[NOTE]);
    }
    expect(walked).toEqual([4, 3, 2, 3]);
    expect((await verdictsData(db, passageId)).map(({ reason }) => reason)).toEqual(["2", "3", "4", "5"]);
  });
});
