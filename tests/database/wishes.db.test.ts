import { randomUUID } from "node:crypto";
import type { NoteId } from "@/core/passage/note";
import { USUAL_WISHES } from "@/core/options/asked/wishes";
import type { Db } from "@/db/client";
import { keepEdit } from "@/db/queries/edits";
import { fingeringsOf } from "@/db/queries/fingerings";
import { walkBack } from "@/server/options/walk";
import { addEdition, addTyped } from "@/server/options/editions";
import { exportOption } from "@/server/export/export";
import { passageData } from "@/server/passages/passages";
import { chooseWishes, markShared, shareOut } from "@/server/options/wishes";
import { freshDatabase } from "../support/database";
import { keptPassage } from "../support/kept-passage";
import { bytes, noteXml, scoreXml } from "../support/musicxml";

let db: Db;
let drop: () => Promise<void>;
let passageId: string;

const FIGURE = ["C5", "E5", "D5", "G5", "F5", "A5", "G5", "E5"];
const UP = ["C#5", "F5", "D#5", "G#5", "F#5", "A#5", "G#5", "F5"];

const digit = (finger: number): string =>
  `<notations><technical><fingering>${finger}</fingering></technical></notations>`;
const score = (digits: Record<number, number> = {}): string =>
  scoreXml(
    [FIGURE, UP].map(
      (bar, b) =>
        bar
          .map((p, i) =>
            noteXml(p, { length: 6, ...(digits[b * 8 + i] ? { notations: digit(digits[b * 8 + i]!) } : {}) }),
          )
          .join("") +
        "<backup><duration>48</duration></backup>" +
        noteXml("C3", { length: 48, staff: 2, voice: 5 }),
    ),
    { staves: 2 },
  );

beforeAll(async () => {
  ({ db, drop } = await freshDatabase());
  passageId = await keptPassage(db, score(), { toBar: 2, hands: "both" });
});
afterAll(() => drop());

const data = async () => (await passageData(db, passageId))!;
const optionA = async () => (await fingeringsOf(db, passageId))[0]!;
const at = (bar: number, n: number): NoteId => `b${bar}-s1-v1-n${n}` as NoteId;

describe("what is asked of every fingering", () => {
  it("is kept, and the options of the engine keep to it from then on", async () => {
    const wishes = { ...USUAL_WISHES, tying: "all", noThumbOnBlack: true } as const;
    expect((await chooseWishes(db, { id: randomUUID(), passageId, before: USUAL_WISHES, after: wishes })).ok).toBe(
      true,
    );
    expect((await data()).wishes).toEqual(wishes);
    const { digits } = await optionA();
    for (let n = 2; n <= 7; n++) expect(digits[at(2, n)]).toBe(digits[at(1, n)]);
    expect(UP.flatMap((p, i) => (p.includes("#") && digits[at(2, i + 1)] === 1 ? [p] : []))).toEqual([]);
    await chooseWishes(db, { id: randomUUID(), passageId, before: wishes, after: USUAL_WISHES });
    expect((await data()).wishes).toEqual(USUAL_WISHES);
  });

  it("is put together from two windows: neither loses what the other asked, and both hear of it", async () => {
    const before = USUAL_WISHES;
    const tie = { notes: [at(1, 1), at(1, 2)], returns: [[at(2, 1), at(2, 2)]] };
    const one = { ...before, ties: [tie], sharing: { ...before.sharing, allowed: "marked" } } as const;
    const two = { ...before, noFourthAndFifth: true };
    await chooseWishes(db, { id: randomUUID(), passageId, before, after: one });
    const answer = await chooseWishes(db, { id: randomUUID(), passageId, before, after: two });
    const both = { ...one, noFourthAndFifth: true };
    expect(answer).toMatchObject({ ok: true, value: { is: both } });
    expect((await data()).wishes).toEqual(both);
    const { digits } = await optionA();
    expect([digits[at(2, 1)], digits[at(2, 2)]]).toEqual([digits[at(1, 1)], digits[at(1, 2)]]);
    // One of them takes its tie away again.
    await chooseWishes(db, { id: randomUUID(), passageId, before: both, after: { ...both, ties: [] } });
    expect((await data()).wishes).toEqual({ ...both, ties: [] });
    await chooseWishes(db, { id: randomUUID(), passageId, before: both, after: USUAL_WISHES });
  });

  it("loses nothing when two windows ask at the same moment", async () => {
    const before = (await data()).wishes;
    await Promise.all([
      chooseWishes(db, { id: randomUUID(), passageId, before, after: { ...before, tying: "none" } }),
      chooseWishes(db, { id: randomUUID(), passageId, before, after: { ...before, noThumbOnBlack: true } }),
    ]);
    const after = (await data()).wishes;
    expect(after).toEqual({ ...before, tying: "none", noThumbOnBlack: true });
    await chooseWishes(db, { id: randomUUID(), passageId, before: after, after: before });
  });

  it("leaves options alone where only the sharing out is asked otherwise", async () => {
    const before = await optionA();
    await chooseWishes(db, {
      id: randomUUID(),
      passageId,
      before: USUAL_WISHES,
      after: { ...USUAL_WISHES, sharing: { ...USUAL_WISHES.sharing, allowed: "all" } },
    });
    expect((await optionA()).version).toBe(before.version);
  });

  it("is refused for a passage that is gone", async () => {
    expect(
      await chooseWishes(db, { id: randomUUID(), passageId: randomUUID(), before: USUAL_WISHES, after: USUAL_WISHES }),
    ).toMatchObject({ ok: false });
    expect(
      await markShared(db, { id: randomUUID(), passageId: randomUUID(), noteId: at(1, 1), marked: true }),
    ).toMatchObject({
      ok: false,
    });
  });
});

describe("hands shared out", () => {
  it("are kept with the options about them, exported, and given back as written", async () => {
    await markShared(db, { id: randomUUID(), passageId, noteId: at(1, 1), marked: true });
    await markShared(db, { id: randomUUID(), passageId, noteId: at(1, 1), marked: true });
    expect((await data()).marked).toEqual([at(1, 1)]);
    await markShared(db, { id: randomUUID(), passageId, noteId: at(1, 1), marked: false });
    expect((await data()).marked).toEqual([]);
    const answer = await shareOut(db, { id: randomUUID(), passageId, before: {}, after: { [at(1, 1)]: "left" } });
    if (!answer.ok) throw new Error(answer.message);
    expect((await data()).study.passage.taken).toEqual({ [at(1, 1)]: "left" });
    const file = (await exportOption(db, answer.value.options[0]!.id))!;
    expect(new TextDecoder().decode(file.bytes)).toMatch(/left/i);
    // Another window, which has not heard of it, gives a second note over; then this one takes its own back.
    await shareOut(db, { id: randomUUID(), passageId, before: {}, after: { [at(1, 2)]: "left" } });
    expect((await data()).study.passage.taken).toEqual({ [at(1, 1)]: "left", [at(1, 2)]: "left" });
    await shareOut(db, { id: randomUUID(), passageId, before: { [at(1, 1)]: "left" }, after: {} });
    expect((await data()).study.passage.taken).toEqual({ [at(1, 2)]: "left" });
    await shareOut(db, { id: randomUUID(), passageId, before: { [at(1, 2)]: "left" }, after: {} });
    expect((await data()).study.passage.taken).toEqual({});
  });

  it("cannot be given to a hand that is none", async () => {
    const after = { [at(1, 1)]: "third" as "left" };
    const error = await shareOut(db, { id: randomUUID(), passageId, before: {}, after }).catch((e: unknown) => e);
    expect(String((error as { cause?: { constraint_name?: string } }).cause?.constraint_name)).toBe("passage_taken");
  });
});

describe("a finger ruled out", () => {
  it("is a change like a pin: kept as a version, undone and redone", async () => {
    const option = await optionA();
    const note = at(1, 3);
    const change = {
      kind: "rule-out",
      noteId: note,
      finger: 2,
      digits: option.digits,
      pins: {},
      ruledOut: { [note]: [2] },
    } as const;
    const kept = await keepEdit(db, { id: randomUUID(), fingeringId: option.id, onVersion: option.version, ...change });
    if (kept.outcome !== "kept") throw new Error(kept.outcome);
    expect(kept.now.ruledOut).toEqual({ [note]: [2] });
    const asked = { fingeringId: option.id };
    const undone = await walkBack(db, { ...asked, id: randomUUID(), onVersion: kept.now.version, way: "undo" });
    expect(undone).toMatchObject({ ok: true, value: { outcome: "kept", now: { ruledOut: {} } } });
    const again = await walkBack(db, { ...asked, id: randomUUID(), onVersion: kept.now.version + 1, way: "redo" });
    expect(again).toMatchObject({ ok: true, value: { now: { ruledOut: { [note]: [2] } } } });
  });
});

describe("another person's fingering", () => {
  it("is typed under the next free letter, with its author", async () => {
    const before = (await fingeringsOf(db, passageId)).length;
    const answer = await addTyped(db, { id: randomUUID(), passageId, author: "the teacher" });
    if (!answer.ok) throw new Error(answer.message);
    expect(answer.value).toHaveLength(before + 1);
    expect(answer.value.at(-1)).toMatchObject({ origin: "typed", author: "the teacher", pins: {} });
  });

  it("comes from another file of the same passage, note by note, the rest worked out around it", async () => {
    const file = { name: "an edition.musicxml", bytes: bytes(score({ 0: 2, 9: 5 })) };
    const answer = await addEdition(db, passageId, file);
    if (!answer.ok) throw new Error(answer.message);
    expect(answer.value).toMatchObject({ taken: 2, missing: 0 });
    const added = answer.value.options.at(-1)!;
    expect(added).toMatchObject({ origin: "printed", author: "an edition", pins: { [at(1, 1)]: 2, [at(2, 2)]: 5 } });
    expect(added.digits[at(1, 1)]).toBe(2);
    expect(Object.values(added.digits)).not.toContain(null);
  });

  it("is refused with a sentence where the file has no digit for the passage, or cannot be read", async () => {
    const bare = await addEdition(db, passageId, { name: "bare.musicxml", bytes: bytes(score()) });
    expect(bare).toEqual({ ok: false, message: "bare.musicxml has no digit on a note of bars 1 to 2." });
    const torn = await addEdition(db, passageId, { name: "torn.xml", bytes: bytes("<score") });
    expect(torn.ok ? "" : torn.message).toMatch(/^torn.xml: .*XML/);
  });
});
