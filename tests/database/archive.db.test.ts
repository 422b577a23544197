import { mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { strToU8, unzipSync, zipSync } from "fflate";
import { sql } from "drizzle-orm";
import { archive } from "@/cli/archive";
import type { Db } from "@/db/client";
import { demoPianist, pianistsHere } from "@/db/queries/pianists";
import { piecesWithPassages } from "@/db/queries/pieces";
import { passageData } from "@/server/passages/passages";
import { archiveOf } from "@/server/archive/take-out";
import { takeIn } from "@/server/archive/take-in";
import { ARCHIVED } from "@/server/archive/tables";
import { unpacked } from "@/server/archive/pack";
import { diaryData, DiaryAsked } from "@/server/practice/diary";
import { takesData } from "@/server/trials/takes";
import * as schema from "@/db/schema";
import { getTableName, is } from "drizzle-orm";
import { PgTable } from "drizzle-orm/pg-core";
import { day } from "@/core/time/days";
import { freshDatabase } from "../support/database";
import { fillYears } from "../support/years";

/** An archive of the first format, kept as it was written: it has to be read by every version to come. */
const FIRST = "tests/fixtures/archive-format-1.zip";

let from: Awaited<ReturnType<typeof freshDatabase>>;
let to: Awaited<ReturnType<typeof freshDatabase>>;
let playerId: string;
let file: Uint8Array;

beforeAll(async () => {
  from = await freshDatabase();
  to = await freshDatabase();
  // The whole demo, as it was once written: nothing has to be worked out for it again.
  await takeIn(from.db, readFileSync(FIRST));
  playerId = (await demoPianist(from.db))!.id;
  file = (await archiveOf(from.db, playerId, new Date("2026-05-20T10:00:00Z")))!;
}, 120_000);
afterAll(async () => {
  await from.drop();
  await to.drop();
});

/** Everything in a database, table by table, its rows in one order. */
async function all(db: Db): Promise<Readonly<Record<string, string>>> {
  const tables = ARCHIVED.map(({ name, table }) => [name, table] as const);
  const rows = await Promise.all(
    tables.map(async ([name, table]) => [
      name,
      (await db.select().from(table))
        .map((row) => JSON.stringify(row))
        .sort()
        .join("\n"),
    ]),
  );
  return Object.fromEntries(rows) as Readonly<Record<string, string>>;
}

/** The archive with some of its parts changed, its sums made right again. */
function changed(change: (inside: Record<string, Uint8Array>) => void): Uint8Array {
  const inside = unzipSync(file);
  change(inside);
  return zipSync(inside);
}

describe("an archive", () => {
  it("holds every table that a player's things stand in", () => {
    const named = new Set(ARCHIVED.map(({ table }) => getTableName(table)));
    const others = ["request"];
    for (const table of Object.values(schema).filter((one) => is(one, PgTable))) {
      const name = getTableName(table as PgTable);
      if (!others.includes(name)) expect(named).toContain(name);
    }
  });

  it("is readable without the program: JSON, and the scores as they came", () => {
    const inside = unzipSync(file);
    const manifest = JSON.parse(Buffer.from(inside["archive.json"]!).toString()) as { player: string; format: number };
    expect(manifest).toMatchObject({ player: "Maro Telland", format: 2 });
    const scores = Object.entries(inside).filter(([place]) => place.startsWith("scores/"));
    expect(scores).toHaveLength(9);
    for (const [place, bytes] of scores) {
      expect(place).toMatch(/\.musicxml$/);
      expect(Buffer.from(bytes).toString()).toContain("<score-partwise");
    }
    const passages = JSON.parse(Buffer.from(inside["tables/passages.json"]!).toString()) as { title: string }[];
    expect(passages.map(({ title }) => title)).toContain("Chords at the gate");
  });

  it("goes into an empty installation without loss, and again without doubling", async () => {
    const first = await takeIn(to.db, file);
    expect(first).toMatchObject({ ok: true, value: { playerId, there: 0, leftOut: 0 } });
    expect(await all(to.db)).toEqual(await all(from.db));
    const again = await takeIn(to.db, file);
    expect(again).toMatchObject({ ok: true, value: { added: 0, leftOut: 0 } });
    expect(await all(to.db)).toEqual(await all(from.db));
    const back = (await archiveOf(to.db, playerId, new Date("2026-05-20T10:00:00Z")))!;
    const [a, b] = [unpacked(file), unpacked(back)];
    if (!a.ok || !b.ok) throw new Error("not read");
    expect(Object.keys(b.value.files).sort()).toEqual(Object.keys(a.value.files).sort());
    for (const [name, rows] of Object.entries(a.value.tables)) expect(b.value.tables[name]).toHaveLength(rows.length);
  });

  it.each([1, 2, 3])("of a player made up by chance comes back row by row (%i)", async (seed) => {
    const [here, there] = [await freshDatabase(), await freshDatabase()];
    const years = { pieces: 3 + seed, passages: 9, takes: 50, days: 20 };
    const made = await fillYears(here.db, years, day("2026-05-20"), seed);
    const bytes = (await archiveOf(here.db, made, new Date("2026-05-20T10:00:00Z")))!;
    expect(await takeIn(there.db, bytes)).toMatchObject({ ok: true, value: { there: 0, leftOut: 0 } });
    expect(await all(there.db)).toEqual(await all(here.db));
    expect(await takeIn(there.db, bytes)).toMatchObject({ ok: true, value: { added: 0, leftOut: 0 } });
    await Promise.all([here.drop(), there.drop()]);
  });

  it("is worked with there as if it had always been there", async () => {
    const [piece] = await piecesWithPassages(to.db, playerId);
    const id = piece!.passages[0]!.id;
    const [there, here] = [await passageData(to.db, id), await passageData(from.db, id)];
    expect(there!.options).toEqual(here!.options);
    expect(await takesData(to.db, id)).toEqual(await takesData(from.db, id));
    const at = { day: "2026-05-20" as never, zone: "UTC" as never };
    const asked = DiaryAsked.parse({ words: "cold room" });
    expect((await diaryData(to.db, playerId, asked, at)).days).toHaveLength(1);
    const [next] = await to.db.execute(sql`select nextval('history_order') > max(place) as later from verdict_event`);
    expect(next).toEqual({ later: true });
  });

  it("in a used installation adds what is not there, and leaves what was changed there as it is", async () => {
    const { passage, diaryNote } = schema;
    await to.db.update(passage).set({ title: "Another name" });
    await to.db.delete(diaryNote);
    const answer = await takeIn(to.db, file);
    expect(answer.ok && answer.value.added).toBe((await from.db.select().from(diaryNote)).length);
    expect((await to.db.select().from(passage)).every(({ title }) => title === "Another name")).toBe(true);
  });
});

describe("the archive on the command line", () => {
  const run = async (address: string, ...args: string[]): Promise<{ code: number; said: Record<string, unknown> }> => {
    const before = process.env["DATABASE_URL"];
    process.env["DATABASE_URL"] = address;
    const lines: string[] = [];
    const code = await archive([...args, "--json"], (line) => lines.push(line));
    process.env["DATABASE_URL"] = before;
    return { code, said: JSON.parse(lines[0]!) as Record<string, unknown> };
  };
  const folder = mkdtempSync(join(tmpdir(), "velvet-archive-"));
  afterAll(() => rmSync(folder, { recursive: true }));

  it("goes out of one database and into another", async () => {
    const place = join(folder, "maro.zip");
    const { address, db, drop } = await freshDatabase();
    expect(await run(from.address, "out", place)).toMatchObject({ code: 0, said: { player: "Maro Telland" } });
    expect(await run(address, "in", place)).toMatchObject({ code: 0, said: { player: "Maro Telland", there: 0 } });
    expect(await all(db)).toEqual(await all(from.db));
    await drop();
  });

  it("says in one line of JSON what is wrong", async () => {
    const broken = join(folder, "broken.zip");
    writeFileSync(broken, "not a zip");
    expect(await run(from.address, "in", broken)).toMatchObject({
      code: 1,
      said: { error: expect.stringContaining("no whole zip file") as string },
    });
    expect(await run(from.address, "in", join(folder, "nowhere.zip"))).toMatchObject({ code: 1 });
    expect(await run(from.address, "out", broken, "--player", "Nobody")).toMatchObject({
      code: 1,
      said: { error: "Nobody called Nobody plays here." },
    });
    expect(await run(from.address, "sideways", broken)).toMatchObject({ code: 2 });
  });
});

describe("a damaged archive", () => {
  const changes: readonly (readonly [string, () => Uint8Array, RegExp])[] = [
    ["cut short", () => file.slice(0, file.length - 200), /no whole zip file/],
    ["that is something else", () => strToU8("not a zip"), /no whole zip file/],
    [
      "without what says what it holds",
      () => changed((inside) => delete inside["archive.json"]),
      /has no archive.json/,
    ],
    [
      "with a table changed",
      () => changed((inside) => (inside["tables/passages.json"] = strToU8("[]"))),
      /tables\/passages.json is not as it was written/,
    ],
    [
      "without a score",
      () => changed((inside) => delete inside[Object.keys(inside).find((p) => p.startsWith("scores/"))!]),
      /scores\/.* is missing/,
    ],
    [
      "of a newer program",
      () =>
        changed(
          (inside) =>
            (inside["archive.json"] = strToU8(
              Buffer.from(inside["archive.json"]!).toString().replace('"format": 2', '"format": 99'),
            )),
        ),
      /newer Velvet Thumb/,
    ],
  ];

  it.each(changes)("%s changes nothing and says what is wrong", async (_, damaged, said) => {
    const { db, drop } = await freshDatabase();
    const answer = await takeIn(db, damaged());
    expect(answer).toMatchObject({ ok: false, message: expect.stringMatching(said) as string });
    expect(await pianistsHere(db)).toEqual([]);
    await drop();
  });

  it("byte by byte, wherever one is turned, changes nothing", async () => {
    const { db, drop } = await freshDatabase();
    for (let i = 0; i < 24; i++) {
      const bytes = Uint8Array.from(file);
      const at = Math.floor(((i + 0.5) * bytes.length) / 24);
      bytes[at] = bytes[at]! ^ 0xff;
      const answer = await takeIn(db, bytes);
      if (answer.ok) expect(await all(db)).toEqual(await all(from.db));
      else expect(answer.message).toMatch(/Nothing was changed/);
      if (!answer.ok) expect(await pianistsHere(db)).toEqual([]);
    }
    await drop();
  });
});

describe("an archive of any format there was", () => {
  it.each([
    [1, FIRST, 9],
    [2, "tests/fixtures/archive-format-2.zip", 10],
  ])("is read for ever (%i)", async (_, path, pieces) => {
    const { db, drop } = await freshDatabase();
    const answer = await takeIn(db, readFileSync(path));
    expect(answer).toMatchObject({ ok: true, value: { player: "Maro Telland", there: 0, leftOut: 0 } });
    expect((await piecesWithPassages(db, answer.ok ? answer.value.playerId : "")).length).toBe(pieces);
    await drop();
  });
});
