import { desc, eq, sql } from "drizzle-orm";
import { connect } from "@/db/client";
import { passage, take } from "@/db/schema";
import { repertoireData } from "@/server/pieces/repertoire";
import { somePlayer } from "../tests/support/some-player";
import { serverZone } from "@/server/players/day";
import { pieceMap } from "@/server/trials/piece-map";
import { takesData } from "@/server/trials/takes";
import { closeThreads } from "@/server/threads/pool";

/** Figures of the server over the demo's data with many takes, against the database named by DATABASE_URL. */
const TAKES = 5_000;
const row = (what: string, figure: string): void => console.log(`${what.padEnd(66)} ${figure}`);
const { db, close } = connect(process.env["DATABASE_URL"]!);
const player = await somePlayer(db);

/** The takes that are there, again and again over the weeks before, until there are so many. */
async function fill(): Promise<void> {
  await db.execute(sql`
    with copied as (
      select t.*, gen_random_uuid() as copy, g from take t cross join generate_series(1, 200) g limit ${TAKES}
    ), kept as (
      insert into take (id, passage_id, fingering_id, version, source, tempo, click, hands, keys, pedal, snip, at)
      select copy, passage_id, fingering_id, version, source, tempo, click, hands, keys, pedal, snip, at - make_interval(hours => g)
      from copied
    )
    insert into take_figures (take_id, measures, faults, tempo_reached, first, amounts, late, astray)
    select copy, f.measures, f.faults, f.tempo_reached, f.first, f.amounts, f.late, f.astray
    from copied join take_figures f on f.take_id = copied.id`);
  await db.execute(sql`analyze take, take_figures`);
}

async function median(times: number, what: () => Promise<unknown>): Promise<number> {
  await what();
  const all: number[] = [];
  for (let i = 0; i < times; i++) {
    const from = performance.now();
    await what();
    all.push(performance.now() - from);
  }
  return all.sort((a, b) => a - b)[times >> 1]!;
}

await fill();
const [most] = await db
  .select({ passageId: take.passageId, pieceId: passage.pieceId, takes: sql<number>`count(*)::int` })
  .from(take)
  .innerJoin(passage, eq(passage.id, take.passageId))
  .groupBy(take.passageId, passage.pieceId)
  .orderBy(desc(sql`count(*)`))
  .limit(1);
const { passageId, pieceId, takes } = most!;
row(
  `front place with ${TAKES.toLocaleString("en-GB")} takes, on the server`,
  `${(await median(9, () => repertoireData(db, player, serverZone()))).toFixed(0)} ms`,
);
row(
  `takes of a passage that has ${takes.toLocaleString("en-GB")}`,
  `${(await median(9, () => takesData(db, passageId))).toFixed(0)} ms`,
);
row(`map of its piece`, `${(await median(9, () => pieceMap(db, { pieceId }))).toFixed(0)} ms`);
await closeThreads();
await close();
