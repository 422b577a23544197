import { randomUUID } from "node:crypto";
import { demoDatabase } from "../support/database";
import { bytes, noteXml, scoreXml } from "../support/musicxml";
import type { Db } from "@/db/client";
import { verdictEvents } from "@/db/queries/passages";
import { fingeringsOf } from "@/db/queries/fingerings";
import { piecesWithPassages } from "@/db/queries/pieces";
import { passage, piece } from "@/db/schema";
import { readScore } from "@/formats/musicxml/reading/open";
import { pianoPart } from "@/formats/musicxml/parts";
import { passageFrom } from "@/formats/musicxml/passage";
import { exportOption } from "@/server/export/export";
import { handsData } from "@/server/hands/hands";
import { loadDemo } from "@/server/load-demo";
import { addPassage, passageData, PassageAsked } from "@/server/passages/passages";
import { importPiece } from "@/server/pieces/pieces";
import { addVerdict, VerdictAsked } from "@/server/verdicts/verdicts";
import { somePlayer } from "../support/some-player";

let db: Db;
let drop: () => Promise<void>;
beforeAll(async () => {
  ({ db, drop } = await demoDatabase());
});
afterAll(() => drop());

describe("the demo", () => {
  it("loads once, through the same doors as a player's own music", async () => {
    expect(await loadDemo(db)).toBe(false);
    const { id } = await somePlayer(db);
    const pieces = await piecesWithPassages(db, id);
    expect(pieces.length).toBeGreaterThanOrEqual(6);
    expect(pieces.every((p) => p.passages.length > 0 && p.recital !== null)).toBe(true);
    const hands = await handsData(db, id);
    const { right, left } = hands.measurements;
    expect(left[0]!.measured.rulerSpan).toBeGreaterThan(right[0]!.measured.rulerSpan!);
    expect(right.length).toBe(2);
  });

  it("has options for every passage, more than one for most, and every option exports and reads back as the same fingering", async () => {
    const rows = await db.select().from(passage);
    expect(rows.length).toBeGreaterThanOrEqual(7);
    let several = 0;
    for (const row of rows) {
      const options = await fingeringsOf(db, row.id);
      expect(options.length).toBeGreaterThanOrEqual(1);
      if (options.length > 1) several++;
      for (const option of options) {
        const file = (await exportOption(db, option.id))!;
        const read = readScore(file.bytes);
        if (!read.ok) throw new Error(read.issues[0]!.message);
        const notes = passageFrom(pianoPart(read.value), row.fromBar, row.toBar, row.hands).notes;
        const printed = Object.fromEntries(notes.filter((n) => n.id in option.digits).map((n) => [n.id, n.printed]));
        expect(printed).toEqual(option.digits);
      }
    }
    expect(several * 2).toBeGreaterThan(rows.length);
  });

  it("offers the digits printed in a file as an option of their own", async () => {
    const [row] = (await db.select().from(passage)).filter((p) => p.title.includes("four keys"));
    const printed = (await fingeringsOf(db, row!.id)).find((o) => o.origin === "printed")!;
    expect(Object.keys(printed.pins).length).toBe(8);
    for (const [note, finger] of Object.entries(printed.pins))
      expect(printed.digits[note as keyof typeof printed.digits]).toBe(finger);
  });
});

describe("importing", () => {
  it("keeps nothing of a file that it refuses", async () => {
    const { id } = await somePlayer(db);
    const before = (await db.select({ id: piece.id }).from(piece)).length;
    const answer = await importPiece(db, id, { name: "torn.musicxml", bytes: bytes("<score-partwise><part>") });
    expect(answer).toMatchObject({ ok: false, message: expect.stringMatching(/^torn\.musicxml: .*line 1/) });
    expect((await db.select({ id: piece.id }).from(piece)).length).toBe(before);
  });

  it("keeps the file as it came, byte for byte, and tells the reader's remarks", async () => {
    const { id } = await somePlayer(db);
    const file = bytes(scoreXml([noteXml("C4", { length: 24 }) + noteXml("C9", { length: 24 })]));
    const answer = await importPiece(db, id, { name: "high.xml", bytes: file });
    if (!answer.ok) throw new Error(answer.message);
    expect(answer.value.remarks.join(" ")).toMatch(/not on the keyboard/);
    const kept = (await db.select().from(piece)).find((p) => p.id === answer.value.pieceId)!;
    expect(Buffer.from(kept.source).equals(Buffer.from(file))).toBe(true);
    expect(kept.title).toBe("high");
  });
});

describe("passages and verdicts", () => {
  const asked = { title: "x", fromBar: 1, toBar: 1, hands: "right", tempo: 90, touch: "legato", pedal: false } as const;

  it("refuses bars the piece does not have and bars without notes for the hand", async () => {
    const { id } = await somePlayer(db);
    const made = await importPiece(db, id, {
      name: "one.xml",
      bytes: bytes(scoreXml([noteXml("C4", { length: 48 })], { staves: 2 })),
    });
    if (!made.ok) throw new Error(made.message);
    const { pieceId } = made.value;
    expect(await addPassage(db, { ...asked, pieceId, toBar: 2 })).toMatchObject({
      ok: false,
      message: expect.stringContaining("The piece has 1 bar; bar 2"),
    });
    expect(await addPassage(db, { ...asked, pieceId, hands: "left" })).toMatchObject({
      ok: false,
      message: expect.stringContaining("left hand"),
    });
    expect(await addPassage(db, { ...asked, pieceId: randomUUID() })).toMatchObject({ ok: false });
  });

  it.each([
    [{ title: " " }, "name"],
    [{ tempo: 5 }, "at least 10"],
    [{ fromBar: 3, toBar: 2 }, "before the first"],
    [{ tempo: Number.NaN }, "number"],
  ])("checks what a page sends: %p", (change, words) => {
    const parsed = PassageAsked.safeParse({ ...asked, pieceId: randomUUID(), ...change });
    expect(parsed.success).toBe(false);
    expect(parsed.error!.issues.map((i) => i.message).join(" ")).toContain(words);
  });

  it("adds verdicts as events, once each, only for options of the passage", async () => {
    const passages = await db.select().from(passage);
    const open = await Promise.all(passages.map(async (p) => (await verdictEvents(db, p.id)).length === 0));
    const [first, second] = passages.filter((_, i) => open[i]);
    const option = (await fingeringsOf(db, first!.id))[0]!;
    const verdict = {
      id: randomUUID(),
      passageId: first!.id,
      kind: "taken",
      fingeringId: option.id,
      reason: "lies closer",
      author: "M",
      decideOn: null,
      reviewAfter: null,
    } as const;
    await addVerdict(db, verdict);
    const again = await addVerdict(db, verdict);
    expect(again).toMatchObject({ ok: true, value: [{ kind: "taken", reason: "lies closer" }] });
    expect(await addVerdict(db, { ...verdict, id: randomUUID(), passageId: second!.id })).toMatchObject({ ok: false });
    await addVerdict(db, {
      id: randomUUID(),
      passageId: first!.id,
      kind: "reopened",
      fingeringId: null,
      reason: "",
      author: "M",
      decideOn: null,
      reviewAfter: null,
    });
    expect((await passageData(db, first!.id))!.verdicts.map((v) => v.kind)).toEqual(["taken", "reopened"]);
    expect(VerdictAsked.safeParse({ ...verdict, reason: " " }).success).toBe(false);
  });
});
