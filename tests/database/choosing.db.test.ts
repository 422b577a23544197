import { randomUUID } from "node:crypto";
import { notesInDoubt } from "@/core/fingering/explain/in-doubt";
import { studyOf } from "@/core/fingering/study/study-data";
import { dayAfter, type Day } from "@/core/time/days";
import type { Db } from "@/db/client";
import { piecesWithPassages } from "@/db/queries/pieces";
import { dueIn } from "@/server/verdicts/due";
import { exportOption } from "@/server/export/export";
import { passageData } from "@/server/passages/passages";
import { serverZone, today } from "@/server/players/day";
import { addVerdict, markPractice, VerdictAsked } from "@/server/verdicts/verdicts";
import { retarget } from "@/server/options/wishes";
import { freshDatabase } from "../support/database";
import { keptPassage } from "../support/kept-passage";
import { noteXml, scoreXml } from "../support/musicxml";
import { somePlayer } from "../support/some-player";

let db: Db;
let drop: () => Promise<void>;
let passageId: string;
let pianistId: string;

const SCALE = ["C4", "D4", "E4", "F4", "G4", "A4", "B4", "C5"];

beforeAll(async () => {
  ({ db, drop } = await freshDatabase());
  ({ id: pianistId } = await somePlayer(db));
  passageId = await keptPassage(db, scoreXml([SCALE.map((p) => noteXml(p, { length: 6 })).join("")]));
});
afterAll(() => drop());

const data = async () => (await passageData(db, passageId))!;
const due = async () => dueIn(db, pianistId, await piecesWithPassages(db, pianistId));
/** Asked once, so that no midnight comes between. */
const now = today(serverZone());
const said = (more: object) =>
  VerdictAsked.parse({ id: randomUUID(), passageId, fingeringId: null, reason: "", author: "O. V.", ...more });

describe("choosing", () => {
  it("is due while undecided, then after so many practice days, until it is reviewed", async () => {
    expect(await due()).toEqual([]);
    await addVerdict(db, said({ kind: "undecided", decideOn: dayAfter(now, 3) }));
    expect(await due()).toMatchObject([{ title: "Up", standing: { state: "undecided", daysLeft: 3 } }]);
    const fingeringId = (await data()).options[0]!.id;
    await addVerdict(db, said({ kind: "taken", fingeringId, reason: "It lies closer.", reviewAfter: 2 }));
    expect(await due()).toEqual([]);
    await markPractice(db, { id: randomUUID(), passageId, day: now, practised: true });
    await markPractice(db, { id: randomUUID(), passageId, day: now, practised: true });
    expect(await due()).toEqual([]);
    await markPractice(db, { id: randomUUID(), passageId, day: dayAfter(now, 1), practised: true }, dayAfter(now, 1));
    expect(await due()).toMatchObject([{ option: "A", standing: { state: "taken", reviewIn: 0, practised: 2 } }]);
    await addVerdict(db, said({ kind: "reviewed", reason: "Steadier." }));
    expect(await due()).toEqual([]);
    const { verdicts, practised } = await data();
    expect(verdicts.map((v) => v.kind)).toEqual(["undecided", "taken", "reviewed"]);
    expect(practised).toHaveLength(2);
    const after = await markPractice(db, { id: randomUUID(), passageId, day: now, practised: false });
    expect(after).toEqual({ ok: true, value: [dayAfter(now, 1)] });
  });

  it("refuses a day of practice that lies ahead of the player, or in no lifetime", async () => {
    const asked = { id: randomUUID(), passageId, practised: true };
    for (const wrong of [dayAfter(now, 1), "9999-01-01" as Day, "1800-01-01" as Day])
      expect(await markPractice(db, { ...asked, day: wrong }, now)).toMatchObject({ ok: false });
    const tomorrow = dayAfter(now, 1);
    expect(await markPractice(db, { ...asked, day: tomorrow }, tomorrow)).toMatchObject({ ok: true });
    await markPractice(db, { ...asked, id: randomUUID(), day: tomorrow, practised: false }, tomorrow);
  });

  it("refuses a deadline without a day and a review after no day, in a sentence", () => {
    const wrong = (more: object) =>
      VerdictAsked.safeParse({ id: randomUUID(), passageId, fingeringId: null, reason: "", author: "O. V.", ...more })
        .error!.issues[0]!.message;
    expect(wrong({ kind: "undecided" })).toBe("Choose the day by which to decide.");
    expect(wrong({ kind: "reviewed", reviewAfter: 0 })).toContain("one practice day at least");
    expect(wrong({ kind: "undecided", decideOn: "2026-02-31" })).toBe("This is not a day.");
  });

  it("works the engine's options out anew for another target tempo, and leaves pins alone", async () => {
    const before = await data();
    const answer = await retarget(db, { id: randomUUID(), passageId, tempo: 140 });
    expect(answer).toMatchObject({ ok: true });
    const after = await data();
    expect(after.study.manner.tempo).toBe(140);
    expect(after.options.map((o) => [o.name, o.pins])).toEqual(before.options.map((o) => [o.name, o.pins]));
    expect(after.options[0]!.version).toBeGreaterThan(before.options[0]!.version);
  });

  it("exports all digits, or only those in doubt", async () => {
    const { options, study } = await data();
    const option = options[0]!;
    const digits = async (which: "all" | "doubt") =>
      new TextDecoder().decode((await exportOption(db, option.id, which))!.bytes).match(/<fingering/g)?.length ?? 0;
    expect(await digits("all")).toBe(SCALE.length);
    const doubtful = notesInDoubt(studyOf(study), option.digits, option.pins).size;
    expect(doubtful).toBeLessThan(SCALE.length);
    expect(await digits("doubt")).toBe(doubtful);
  });
});
