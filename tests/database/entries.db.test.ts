import { randomUUID } from "node:crypto";
import { insertBar, put, remove, toggleKey } from "@/core/entry/changes";
import { EMPTY_BAR, type EntryChanged, type Entry } from "@/core/entry/entry";
import { drain } from "@/core/drain";
import { findingFirstOptions } from "@/core/options/first-options";
import { studyOf } from "@/core/fingering/study/study-data";
import type { NoteId } from "@/core/passage/note";
import type { Db } from "@/db/client";
import { keepEdit } from "@/db/queries/edits";
import { fingeringsOf } from "@/db/queries/fingerings";
import { pieceById } from "@/db/queries/pieces";
import { EntryAsked, entryData, keepEntry, openEntry } from "@/server/pieces/entries";
import { addFirstOptions } from "@/server/options/options";
import { passageData } from "@/server/passages/passages";
import { freshDatabase } from "../support/database";
import { somePlayer } from "../support/some-player";

let db: Db;
let drop: () => Promise<void>;
const QUARTER = { base: 4, dotted: false, tuplet: null } as const;

function entered(keys: readonly number[]): EntryChanged {
  const entry: Entry = { title: "Stairs at dusk", fifths: 0, time: [4, 4], tempo: 84, bars: [EMPTY_BAR] };
  let now: EntryChanged = { entry, cursor: { bar: 0, voice: 0, at: 0 }, complaint: null };
  for (const [i, key] of keys.entries()) now = put(now.entry, now.cursor, [key], QUARTER, () => `i${i}`);
  return now;
}

/** Keeps an entry as a new piece and opens it. */
async function kept({ entry }: EntryChanged): Promise<{ pieceId: string; seen: string; passageId: string }> {
  const pieceId = randomUUID();
  const answer = await keepEntry(db, { playerId, pieceId, entry, seen: null });
  if (!answer.ok) throw new Error(answer.message);
  const opened = await openEntry(db, { pieceId, hands: "right" });
  if (!opened.ok) throw new Error(opened.message);
  return { pieceId, seen: answer.value.seen, passageId: opened.value.passageId };
}

let playerId: string;
beforeAll(async () => {
  ({ db, drop } = await freshDatabase());
  playerId = (await somePlayer(db)).id;
});
afterAll(() => drop());

describe("music entered step by step", () => {
  it("becomes a passage like one that came from a file", async () => {
    const { pieceId, passageId } = await kept(entered([60, 62, 64, 65, 67]));
    const data = (await passageData(db, passageId))!;
    expect(data).toMatchObject({ title: "Stairs at dusk", bars: { from: "1", to: "2" }, piece: { entered: true } });
    expect(data.study.passage.notes.map((n) => n.pitch)).toEqual([60, 62, 64, 65, 67]);
    expect(drain(findingFirstOptions(studyOf(data.study))).length).toBeGreaterThan(0);
    expect(await openEntry(db, { pieceId, hands: "both" })).toEqual({ ok: true, value: { passageId } });
    expect((await entryData(db, pieceId))!.entry.bars[0]![0]).toHaveLength(4);
  });

  it("keeps what is pinned on notes that stay, whatever is entered before them", async () => {
    const start = entered([60, 62, 64, 65]);
    const { pieceId, seen, passageId } = await kept(start);
    const study = studyOf((await passageData(db, passageId))!.study);
    const first = drain(findingFirstOptions(study)).map(({ fingering, ...o }) => ({ ...o, digits: fingering }));
    await addFirstOptions(db, { passageId, options: first as never });
    const [option] = await fingeringsOf(db, passageId);
    const note = "b1-s1-v1-n3" as NoteId;
    const pins = { [note]: 2 } as never;
    await keepEdit(db, {
      id: randomUUID(),
      fingeringId: option!.id,
      onVersion: 1,
      kind: "pin",
      noteId: note,
      finger: 2,
      digits: { ...option!.digits, [note]: 2 },
      pins,
      ruledOut: {},
    });
    const without = remove(start.entry, { bar: 0, voice: 0, at: 1 }).entry;
    const changed = insertBar(without, { bar: -1, voice: 0, at: 0 }).entry;
    const answer = await keepEntry(db, { playerId, pieceId, entry: changed, seen });
    expect(answer).toMatchObject({ ok: true, value: { outcome: "kept" } });
    const after = (await passageData(db, passageId))!;
    expect(after.bars).toEqual({ from: "1", to: "2" });
    expect(after.study.passage.notes.map((n) => [n.id, n.pitch])).toEqual([
      ["b2-s1-v1-n1", 62],
      ["b2-s1-v1-n2", 64],
      ["b2-s1-v1-n3", 65],
    ]);
    const [now] = after.options;
    expect(now!.pins).toEqual({ "b2-s1-v1-n2": 2 });
    expect(Object.keys(now!.digits).sort()).toEqual(["b2-s1-v1-n1", "b2-s1-v1-n2", "b2-s1-v1-n3"]);
    expect(now!.undoable).toBe(0);
  });

  it("is not overwritten from an older state of it, and may be sent twice", async () => {
    const start = entered([60, 62]);
    const { pieceId, seen } = await kept(start);
    const cursor = { bar: 0, voice: 0, at: 1 } as const;
    const one = toggleKey(start.entry, cursor, 67).entry;
    const other = toggleKey(start.entry, cursor, 69).entry;
    expect(await keepEntry(db, { playerId, pieceId, entry: one, seen })).toMatchObject({ value: { outcome: "kept" } });
    expect(await keepEntry(db, { playerId, pieceId, entry: one, seen })).toMatchObject({ value: { outcome: "kept" } });
    expect(await keepEntry(db, { playerId, pieceId, entry: other, seen })).toMatchObject({
      value: { outcome: "outdated" },
    });
    expect((await pieceById(db, pieceId))!.entry).toEqual(one);
  });

  it("is refused with a sentence where it is empty or off the keyboard", async () => {
    expect(await keepEntry(db, { playerId, pieceId: randomUUID(), entry: entered([]).entry, seen: null })).toEqual({
      ok: false,
      message: "There is no note yet.",
    });
    const { entry } = entered([60]);
    const far = JSON.parse(JSON.stringify(entry).replace('"octave":4', '"octave":14')) as Entry;
    const parsed = EntryAsked.safeParse({ playerId, pieceId: randomUUID(), entry: far, seen: null });
    expect(parsed.error!.issues[0]!.message).toBe("A note is not on the keyboard.");
    expect(
      EntryAsked.safeParse({ playerId, pieceId: randomUUID(), entry: { ...entry, title: " " }, seen: null }).success,
    ).toBe(false);
  });
});
