import { randomUUID } from "node:crypto";
import { freshDatabase } from "../../../tests/support/database";
import { noteXml, scoreXml, bytes } from "../../../tests/support/musicxml";
import type { Fingering, Pins } from "@/core/fingering/study/fingering";
import type { NoteId } from "@/core/passage/note";
import { importPiece } from "@/server/pieces/pieces";
import { addPassage } from "@/server/passages/passages";
import type { Db } from "../client";
import { edit, fingeringVersion, noteMark, piece } from "../schema";
import { keepEdit, keepWalk, walkTo, type EditKept } from "./edits";
import { addFingering, addFirstFingerings, fingeringById, fingeringsOf, type FingeringKept } from "./fingerings";
import { somePlayer } from "../../../tests/support/some-player";

const N1 = "b1-s1-v1-n1" as NoteId;
const N2 = "b1-s1-v1-n2" as NoteId;
const fingers = (a: number | null, b: number | null): Fingering => ({ [N1]: a, [N2]: b }) as Fingering;

let db: Db;
let drop: () => Promise<void>;
let passageId: string;
let pieceId: string;
let option: FingeringKept;

beforeAll(async () => {
  ({ db, drop } = await freshDatabase());
  const { id } = await somePlayer(db);
  const file = {
    name: "made-up.musicxml",
    bytes: bytes(scoreXml([noteXml("C4", { length: 24 }) + noteXml("D4", { length: 24 })])),
  };
  const made = await importPiece(db, id, file);
  if (!made.ok) throw new Error(made.message);
  pieceId = made.value.pieceId;
});
afterAll(() => drop());

beforeEach(async () => {
  const asked = {
    pieceId,
    title: "Two notes",
    fromBar: 1,
    toBar: 1,
    hands: "right",
    tempo: 90,
    touch: "legato",
    pedal: false,
  } as const;
  const made = await addPassage(db, asked);
  if (!made.ok) throw new Error(made.message);
  passageId = made.value.passageId;
  [option] = (await addFirstFingerings(db, passageId, [
    { name: "A", origin: "solved", leaning: "balanced", digits: fingers(1, 2), pins: {} },
  ])) as [FingeringKept];
});

function pin(on: FingeringKept, finger: 1 | 2 | 3 | 4 | 5 | null, digits: Fingering, id = randomUUID()) {
  const pins = (finger === null ? {} : { [N1]: finger }) as Pins;
  const kind = finger === null ? "lift" : "pin";
  const change = { kind, noteId: N1, finger, digits, pins, ruledOut: {} } as const;
  return keepEdit(db, { id, fingeringId: on.id, onVersion: on.version, ...change });
}

/** Goes where undo or redo leads, with the digits that were kept there. */
async function walk(
  _db: Db,
  id: string,
  onVersion: number,
  way: "undo" | "redo",
  request = randomUUID(),
): Promise<EditKept> {
  const stands = (await fingeringById(db, id))!;
  const to = await walkTo(db, stands, way);
  if (!to) return { outcome: "kept", now: stands };
  return keepWalk(db, { id: request, fingeringId: id, onVersion }, way, to, to.state.digits);
}

async function now(): Promise<FingeringKept> {
  return (await fingeringById(db, option.id))!;
}

describe("the edit log", () => {
  it("keeps each edit as a version and walks back and forward over them", async () => {
    await pin(option, 2, fingers(2, 3));
    await pin(await now(), 3, fingers(3, 4));
    expect((await now()).digits).toEqual(fingers(3, 4));
    await walk(db, option.id, (await now()).version, "undo");
    expect(await now()).toMatchObject({ digits: fingers(2, 3), pins: { [N1]: 2 }, undoable: 1, redoable: 1 });
    await walk(db, option.id, (await now()).version, "undo");
    expect(await now()).toMatchObject({ digits: fingers(1, 2), pins: {}, undoable: 0, redoable: 2 });
    await walk(db, option.id, (await now()).version, "redo");
    await walk(db, option.id, (await now()).version, "redo");
    expect(await now()).toMatchObject({ digits: fingers(3, 4), pins: { [N1]: 3 }, undoable: 2, redoable: 0 });
  });

  it("sets undone edits aside when a new one is made, and deletes nothing", async () => {
    await pin(option, 2, fingers(2, 3));
    await walk(db, option.id, (await now()).version, "undo");
    await pin(await now(), 4, fingers(4, 5));
    expect(await now()).toMatchObject({ digits: fingers(4, 5), undoable: 1, redoable: 0 });
    const log = (await db.select().from(edit)).filter((e) => e.fingeringId === option.id);
    expect(log.map((e) => e.state).sort()).toEqual(["applied", "set-aside"]);
    expect((await db.select().from(fingeringVersion)).filter((v) => v.fingeringId === option.id)).toHaveLength(4);
  });

  it("does nothing at either end of the log", async () => {
    expect(await walk(db, option.id, option.version, "undo")).toMatchObject({ outcome: "kept", now: { version: 1 } });
    expect(await walk(db, option.id, option.version, "redo")).toMatchObject({ outcome: "kept", now: { version: 1 } });
  });

  it("keeps an edit once, however often it is sent", async () => {
    const id = randomUUID();
    await pin(option, 2, fingers(2, 3), id);
    expect(await pin(option, 2, fingers(2, 3), id)).toMatchObject({ outcome: "kept", now: { version: 2 } });
    expect((await now()).undoable).toBe(1);
  });

  it("refuses a change on an outdated version, shows what stands, and overwrites nothing", async () => {
    await pin(option, 2, fingers(2, 3));
    expect(await pin(option, 5, fingers(5, 1))).toMatchObject({
      outcome: "outdated",
      now: { version: 2, digits: fingers(2, 3) },
    });
    expect(await walk(db, option.id, option.version, "undo")).toMatchObject({ outcome: "outdated" });
    expect((await now()).digits).toEqual(fingers(2, 3));
  });

  it("lets one of many edits sent at the same time through, and tells the others", async () => {
    const answers = await Promise.all([2, 3, 4, 5].map((f) => pin(option, f as 2, fingers(f, 1))));
    expect(answers.map((a) => a.outcome).sort()).toEqual(["kept", "outdated", "outdated", "outdated"]);
    expect((await now()).version).toBe(2);
  });

  it("keeps the options that a passage opens with once, as when two windows work it out", async () => {
    const all = await addFirstFingerings(db, passageId, [
      { name: "A", origin: "solved", leaning: "balanced", digits: fingers(5, 4), pins: {} },
      { name: "B", origin: "printed", leaning: "balanced", digits: fingers(1, 3), pins: {} },
    ]);
    expect(all!.map((o) => [o.name, o.digits[N1]])).toEqual([["A", 1]]);
  });

  it("gives each of many options that come at the same time a letter of its own, and loses none", async () => {
    const ids = Array.from({ length: 4 }, () => randomUUID());
    const typed = { origin: "typed", leaning: "balanced", digits: fingers(1, 3), pins: {} } as const;
    await Promise.all([...ids, ids[0]!].map((id) => addFingering(db, passageId, { ...typed, id })));
    const all = (await fingeringsOf(db, passageId)).filter((o) => o.origin === "typed");
    expect(all.map((o) => o.name)).toEqual(["B", "C", "D", "E"]);
    expect(all.map((o) => o.id).sort()).toEqual([...ids].sort());
  });

  it("walks once, however often it is sent", async () => {
    await pin(option, 2, fingers(2, 3));
    await pin(await now(), 3, fingers(3, 4));
    const { version } = await now();
    const id = randomUUID();
    await walk(db, option.id, version, "undo", id);
    await walk(db, option.id, version, "undo", id);
    expect(await now()).toMatchObject({ digits: fingers(2, 3), undoable: 1, redoable: 1 });
  });

  it("says when an option is gone", async () => {
    const change = { kind: "lift", noteId: N1, finger: null, digits: {}, pins: {}, ruledOut: {} } as const;
    const asked = { id: randomUUID(), fingeringId: randomUUID(), onVersion: 1, ...change };
    expect(await keepEdit(db, asked)).toEqual({ outcome: "gone" });
  });
});

describe("what the database itself refuses", () => {
  const refused = async (change: Promise<unknown>): Promise<string> => {
    const error = (await change.then(
      () => null,
      (e: unknown) => e,
    )) as { cause?: { constraint_name?: string } } | null;
    return error?.cause?.constraint_name ?? "nothing";
  };

  it("a finger that no hand has", async () => {
    const made = { id: randomUUID(), origin: "solved", leaning: "balanced" } as const;
    expect(
      await refused(addFingering(db, passageId, { ...made, digits: { [N1]: 6 } as unknown as Fingering, pins: {} })),
    ).toBe("fingering_version_fingers");
    expect(
      await refused(addFingering(db, passageId, { ...made, digits: {}, pins: { [N1]: null } as unknown as Pins })),
    ).toBe("fingering_version_pins");
  });

  it("bars that run backwards, tempi nobody plays, and pieces without a source", async () => {
    const { passage } = await import("../schema");
    const given = { pieceId, title: "x", fromBar: 2, toBar: 1, hands: "right", tempo: 90 } as const;
    expect(await refused(db.insert(passage).values(given))).toBe("passage_bars");
    expect(await refused(db.insert(passage).values({ ...given, fromBar: 1, tempo: 9 }))).toBe("passage_tempo");
    expect(await refused(db.insert(passage).values({ ...given, fromBar: 1, title: "  " }))).toBe("passage_title");
    const { id } = await somePlayer(db);
    expect(
      await refused(
        db.insert(piece).values({
          pianistId: id,
          title: "x",
          sourceKind: "file",
          fileName: "x",
          source: new Uint8Array(0),
          partId: "P1",
        }),
      ),
    ).toBe("piece_source");
  });

  it("marks on what is no note", async () => {
    expect(
      await refused(db.insert(noteMark).values({ passageId, noteId: "third from the left", kind: "shared" })),
    ).toBe("note_mark_note");
    await db.insert(noteMark).values({ passageId, noteId: N1, kind: "shared" });
  });
});
