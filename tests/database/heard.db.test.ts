import { compose } from "@/demo/compose";
import { darkWater } from "@/demo/pieces/dark-water";
import type { Db } from "@/db/client";
import { partMidi } from "@/formats/midi/part-midi";
import { pianoPart } from "@/formats/musicxml/parts";
import { readScore } from "@/formats/musicxml/reading/open";
import { archiveOf } from "@/server/archive/take-out";
import { takeIn } from "@/server/archive/take-in";
import { addPassage } from "@/server/passages/passages";
import { HearAsked, hearAgain } from "@/server/pieces/heard";
import { pieceData } from "@/server/pieces/piece-data";
import { importPiece } from "@/server/pieces/pieces";
import { freshDatabase } from "../support/database";
import { bytes } from "../support/musicxml";
import { somePlayer } from "../support/some-player";

let db: Db;
let drop: () => Promise<void>;
let playerId: string;
let midi: Uint8Array;

beforeAll(async () => {
  ({ db, drop } = await freshDatabase());
  playerId = (await somePlayer(db)).id;
  const read = readScore(bytes(compose(darkWater)));
  if (!read.ok) throw new Error("The demo's score cannot be read.");
  midi = partMidi(read.value, pianoPart(read.value));
});
afterAll(() => drop());

async function imported(): Promise<string> {
  const made = await importPiece(db, playerId, { name: "dark water.mid", bytes: midi });
  if (!made.ok) throw new Error(made.message);
  return made.value.pieceId;
}

const hear = (pieceId: string, choices: object) => hearAgain(db, HearAsked.parse({ pieceId, choices }));

describe("a file of keys", () => {
  it("is a piece like any other, with what was guessed", async () => {
    const piece = (await pieceData(db, await imported()))!;
    expect(piece).toMatchObject({ title: "Dark Water", fileName: "dark water.mid", entered: false });
    expect(piece.bars.length).toBeGreaterThan(3);
    expect(piece.heard!.guessed).toMatchObject({ beat: "file", isTimeStated: true, hands: "tracks" });
  });

  it("is heard again as the player says, until passages speak of its notes", async () => {
    const pieceId = await imported();
    const before = (await pieceData(db, pieceId))!;
    expect(await hear(pieceId, { time: [3, 4], fifths: 4 })).toMatchObject({ ok: true });
    const after = (await pieceData(db, pieceId))!;
    expect(after.heard!.guessed).toMatchObject({ time: [3, 4], fifths: 4 });
    expect(after.bars.length).toBeGreaterThan(before.bars.length);
    expect(await hear(pieceId, {})).toMatchObject({ ok: true });
    expect((await pieceData(db, pieceId))!.music).toBe(before.music);
    const asked = {
      title: "Run",
      fromBar: 1,
      toBar: 1,
      hands: "right",
      tempo: 90,
      touch: "legato",
      pedal: false,
    } as const;
    await addPassage(db, { pieceId, ...asked });
    expect(await hear(pieceId, { fifths: 2 })).toMatchObject({ ok: false, message: /has passages/ });
    expect(HearAsked.safeParse({ pieceId, choices: { fifths: 9 } }).success).toBe(false);
  });

  it("is refused in a sentence where it is broken, and leaves nothing behind", async () => {
    const made = await importPiece(db, playerId, { name: "broken.mid", bytes: midi.slice(0, 60) });
    expect(made).toMatchObject({
      ok: false,
      message: expect.stringMatching(/^broken\.mid: The MIDI file is broken off/),
    });
  });

  it("goes into an archive as it came, and comes back", async () => {
    const pieceId = await imported();
    const file = (await archiveOf(db, playerId, new Date()))!;
    const other = await freshDatabase();
    const answer = await takeIn(other.db, file);
    expect(answer).toMatchObject({ ok: true });
    const { heard, music } = (await pieceData(other.db, pieceId))!;
    expect({ heard, music }).toEqual({
      heard: (await pieceData(db, pieceId))!.heard,
      music: (await pieceData(db, pieceId))!.music,
    });
    expect(await hearAgain(other.db, HearAsked.parse({ pieceId, choices: { fifths: -2 } }))).toMatchObject({
      ok: true,
    });
    await other.drop();
  });
});
