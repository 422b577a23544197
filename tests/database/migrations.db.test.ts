import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { sql } from "drizzle-orm";
import { migrate } from "drizzle-orm/postgres-js/migrator";
import { emptyDatabase } from "../support/database";
import type { Db } from "@/db/client";
import { migrateToNewest } from "@/db/migrate";
import { USUAL_WISHES } from "@/core/options/asked/wishes";
import { fingeringsOf } from "@/db/queries/fingerings";
import { passageById } from "@/db/queries/passages";
import { pieceById } from "@/db/queries/pieces";
import { verdictsData } from "@/server/verdicts/verdicts";
import { measurements, instruments } from "@/db/queries/pianists";

const MIGRATIONS = join(process.cwd(), "src/db/migrations");

interface Journal {
  readonly entries: readonly { readonly idx: number; readonly tag: string }[];
}

/** The migrations as they were when only so many of them were written. */
function migrationsUpTo(count: number): string {
  const folder = mkdtempSync(join(tmpdir(), "velvet-migrations-"));
  cpSync(MIGRATIONS, folder, { recursive: true });
  const path = join(folder, "meta/_journal.json");
  const journal = JSON.parse(readFileSync(path, "utf8")) as Journal;
  writeFileSync(path, JSON.stringify({ ...journal, entries: journal.entries.slice(0, count) }));
  return folder;
}

/** A passage as it was kept before anything was migrated; pianist, piece and passage under one id. */
async function olderPassage(db: Db, id: string): Promise<void> {
  await db.execute(sql`insert into pianist (id, name) values (${id}, 'Orla Venn')`);
  await db.execute(sql`
    insert into piece (id, pianist_id, title, source_kind, file_name, source, part_id)
    values (${id}, ${id}, 'Older', 'file', 'older.musicxml', decode('00', 'hex'), 'P1')`);
  await db.execute(sql`
    insert into passage (id, piece_id, title, from_bar, to_bar, hands, tempo)
    values (${id}, ${id}, 'A spot', 1, 2, 'right', 90)`);
}

describe("migrations", () => {
  it("bring what was kept before hands were measured pair by pair to the newest schema, with nothing lost", async () => {
    const { db, drop } = await emptyDatabase();
    const before = migrationsUpTo(1);
    try {
      await migrate(db, { migrationsFolder: before });
      await db.execute(
        sql`insert into pianist (id, name) values ('00000000-0000-4000-8000-000000000001', 'Orla Venn')`,
      );
      await db.execute(sql`
        insert into hand_measurement (pianist_id, side, measured_on, ruler_span)
        values ('00000000-0000-4000-8000-000000000001', 'right', '2026-05-01', 203.5)`);
      await db.execute(sql`
        insert into instrument (pianist_id, name, octave_width, created_at) values
        ('00000000-0000-4000-8000-000000000001', 'Older', 164.5, '2026-01-01'),
        ('00000000-0000-4000-8000-000000000001', 'Newer', 152, '2026-02-01')`);
      await migrateToNewest(db);
      const id = "00000000-0000-4000-8000-000000000001";
      expect(await measurements(db, id, "right")).toMatchObject([
        { rulerSpan: 203.5, measuredOn: "2026-05-01", way: "typed", pairs: {}, tipWidths: {}, behind: {} },
      ]);
      expect((await instruments(db, id)).map((i) => i.name)).toEqual(["Newer", "Older"]);
      const [who] = (await db.execute(sql`select allows from pianist`)) as unknown as { allows: unknown }[];
      expect(who!.allows).toEqual({ rolls: true, omissions: true, pedal: true, tuneAndBass: false });
    } finally {
      rmSync(before, { recursive: true });
      await drop();
    }
  });

  it("bring fingerings from before leanings and rule-outs along, balanced and with nothing ruled out", async () => {
    const { db, drop } = await emptyDatabase();
    const before = migrationsUpTo(2);
    const id = "00000000-0000-4000-8000-000000000001";
    try {
      await migrate(db, { migrationsFolder: before });
      await olderPassage(db, id);
      await db.execute(sql`
        insert into fingering (id, passage_id, name, origin, version) values (${id}, ${id}, 'A', 'solved', 1)`);
      await db.execute(sql`
        insert into fingering_version (fingering_id, version, digits, pins)
        values (${id}, 1, '{"b1-s1-v1-n1": 2}', '{"b1-s1-v1-n1": 2}')`);
      await migrateToNewest(db);
      expect(await fingeringsOf(db, id)).toMatchObject([
        { name: "A", leaning: "balanced", author: null, ruledOut: {}, pins: { "b1-s1-v1-n1": 2 } },
      ]);
      expect(await passageById(db, id)).toMatchObject({ wishes: USUAL_WISHES, taken: {} });
    } finally {
      rmSync(before, { recursive: true });
      await drop();
    }
  });

  it("bring verdicts and edits from before deadlines and stretches along as they were", async () => {
    const { db, drop } = await emptyDatabase();
    const before = migrationsUpTo(3);
    const id = "00000000-0000-4000-8000-000000000001";
    try {
      await migrate(db, { migrationsFolder: before });
      await olderPassage(db, id);
      await db.execute(sql`
        insert into fingering (id, passage_id, name, origin, version) values (${id}, ${id}, 'A', 'solved', 2)`);
      await db.execute(sql`
        insert into fingering_version (fingering_id, version, digits, pins) values
        (${id}, 1, '{"b1-s1-v1-n1": 2}', '{}'), (${id}, 2, '{"b1-s1-v1-n1": 3}', '{"b1-s1-v1-n1": 3}')`);
      await db.execute(sql`
        insert into edit (id, fingering_id, "order", kind, note_id, finger, before, after)
        values (${id}, ${id}, 1, 'pin', 'b1-s1-v1-n1', 3, 1, 2)`);
      await db.execute(sql`
        insert into verdict_event (id, passage_id, kind, fingering_id, reason, author)
        values (${id}, ${id}, 'taken', ${id}, 'It lies closer.', 'O. V.')`);
      await migrateToNewest(db);
      expect(await fingeringsOf(db, id)).toMatchObject([
        { digits: { "b1-s1-v1-n1": 3 }, first: { "b1-s1-v1-n1": 2 }, undoable: 1 },
      ]);
      expect(await verdictsData(db, id)).toMatchObject([
        { kind: "taken", fingeringId: id, reason: "It lies closer.", decideOn: null, reviewAfter: null },
      ]);
      expect((await pieceById(db, id))!.entry).toBeNull();
    } finally {
      rmSync(before, { recursive: true });
      await drop();
    }
  });

  it("put what happened before there was one order into the order in which it happened", async () => {
    const { db, drop } = await emptyDatabase();
    const before = migrationsUpTo(6);
    const id = "00000000-0000-4000-8000-000000000001";
    const at = (minute: number): string => `2026-10-01T12:0${minute}:00Z`;
    try {
      await migrate(db, { migrationsFolder: before });
      await olderPassage(db, id);
      await db.execute(sql`
        insert into fingering (id, passage_id, name, origin, version) values (${id}, ${id}, 'A', 'solved', 2)`);
      await db.execute(sql`
        insert into fingering_version (fingering_id, version, digits, pins) values
        (${id}, 1, '{"b1-s1-v1-n1": 2}', '{}'), (${id}, 2, '{"b1-s1-v1-n1": 3}', '{"b1-s1-v1-n1": 3}')`);
      await db.execute(sql`
        insert into edit (id, fingering_id, "order", kind, note_id, finger, before, after, created_at)
        values (${id}, ${id}, 1, 'pin', 'b1-s1-v1-n1', 3, 1, 2, ${at(2)})`);
      await db.execute(sql`
        insert into passage_change (passage_id, "order", what, before, after, created_at)
        values (${id}, 1, 'taken', '{}', '{"b1-s1-v1-n1": "left"}', ${at(1)}),
        (${id}, 2, 'taken', '{"b1-s1-v1-n1": "left"}', '{}', ${at(3)})`);
      await db.execute(sql`
        insert into verdict_event (id, passage_id, kind, fingering_id, reason, author, at)
        values (${id}, ${id}, 'taken', ${id}, 'It lies closer.', 'O. V.', ${at(4)})`);
      await migrateToNewest(db);
      const rows = (await db.execute(sql`
        select place::int, log from (select place, 'change' as log from passage_change
        union all select place, 'edit' from edit union all select place, 'verdict' from verdict_event) as happened
        order by place`)) as unknown as { place: number; log: string }[];
      expect([...rows]).toEqual([
        { place: 1, log: "change" },
        { place: 2, log: "edit" },
        { place: 3, log: "change" },
        { place: 4, log: "verdict" },
      ]);
      const [next] = (await db.execute(sql`select nextval('history_order')::int as place`)) as unknown as {
        place: number;
      }[];
      expect(next!.place).toBeGreaterThan(4);
      expect(await passageById(db, id)).toMatchObject({ revision: 0, printedBars: null });
      expect((await pieceById(db, id))!.sourceSum).toHaveLength(64);
    } finally {
      rmSync(before, { recursive: true });
      await drop();
    }
  });

  it("change nothing when they are run again", async () => {
    const { db, drop } = await emptyDatabase();
    try {
      await migrateToNewest(db);
      await migrateToNewest(db);
      const journal = JSON.parse(readFileSync(join(MIGRATIONS, "meta/_journal.json"), "utf8")) as Journal;
      const [row] = (await db.execute(sql`select count(*)::int as n from drizzle.__drizzle_migrations`)) as unknown as {
        n: number;
      }[];
      expect(row!.n).toBe(journal.entries.length);
    } finally {
      await drop();
    }
  });

  it("lose nothing of what was kept at any schema that was ever released", async () => {
    const { entries } = JSON.parse(readFileSync(join(MIGRATIONS, "meta/_journal.json"), "utf8")) as Journal;
    const { db, drop } = await emptyDatabase();
    const idOf = (count: number): string => `00000000-0000-4000-8000-${String(count).padStart(12, "0")}`;
    try {
      // One database that grows with the releases, something being kept at each.
      for (let count = 1; count <= entries.length; count++) {
        const released = migrationsUpTo(count);
        await migrate(db, { migrationsFolder: released });
        rmSync(released, { recursive: true });
        const id = idOf(count);
        await olderPassage(db, id);
        await db.execute(sql`
          insert into fingering (id, passage_id, name, origin, version) values (${id}, ${id}, 'A', 'solved', 1)`);
        await db.execute(sql`
          insert into fingering_version (fingering_id, version, digits, pins)
          values (${id}, 1, '{"b1-s1-v1-n1": 2}', '{"b1-s1-v1-n1": 2}')`);
      }
      await migrateToNewest(db);
      for (let count = 1; count <= entries.length; count++) {
        const id = idOf(count);
        expect(await fingeringsOf(db, id)).toMatchObject([
          { name: "A", digits: { "b1-s1-v1-n1": 2 }, pins: { "b1-s1-v1-n1": 2 } },
        ]);
        expect(await passageById(db, id)).toMatchObject({ title: "A spot", tempo: 90, hands: "right" });
        expect(await pieceById(db, id)).toMatchObject({ title: "Older", fileName: "older.musicxml" });
      }
      expect(entries.length).toBeGreaterThan(17);
    } finally {
      await drop();
    }
  });
});
