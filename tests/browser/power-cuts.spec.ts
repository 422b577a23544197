import { randomUUID } from "node:crypto";
import { expect, test } from "@playwright/test";
import { eq, sql } from "drizzle-orm";
import { fingeringById } from "@/db/queries/fingerings";
import { pianist, piece, take } from "@/db/schema";
import { writeScore } from "@/formats/musicxml/writing/write-score";
import { passageData } from "@/server/passages/passages";
import { closeThreads } from "@/server/threads/pool";
import { Caller } from "../support/caller";
import { House } from "../support/house";
import { keptPassage } from "../support/kept-passage";
import { madeMusic } from "../support/made-music";
import { seeded } from "../support/seeded";
import { digitsShown, engraved } from "./support";

/** How many power cuts a run has; `CUTS=40 SEED=7` makes a long one of another kind. */
const CUTS = Number(process.env["CUTS"] ?? 2);
const SEED = Number(process.env["SEED"] ?? 1);
const KILLED = ["server", "database", "both"] as const;

test("nothing that was said to be kept is lost, and nothing half-written is shown, whatever is killed when", async ({
  browser,
}) => {
  test.setTimeout(120_000 + CUTS * 30_000);
  const random = seeded(SEED);
  const house = new House("cuts");
  house.startDatabase();
  let { db, close } = await house.migrated();
  try {
    const [made] = await db.insert(pianist).values({ name: "Ada Quill" }).returning({ id: pianist.id });
    const playerId = made!.id;
    const text = writeScore(madeMusic(seeded(3), 4));
    const passageId = await keptPassage(db, text, { toBar: 2, hands: "both", playerId });
    const { options, study } = (await passageData(db, passageId))!;
    const [option] = options;
    await house.startServer();
    const context = await browser.newContext({ baseURL: house.address, viewport: { width: 1280, height: 800 } });
    await context.addCookies([{ name: "velvet-player", value: playerId, url: house.address }]);
    const page = await context.newPage();
    await page.goto(`/bench/${passageId}`);
    await engraved(page);
    const caller = new Caller(() => house.address, playerId);
    const kept = { pin: null as null | { note: string; finger: number }, takes: new Set<string>(), pieces: 1 };

    /** A pin by key on the page; known to be kept once the page says so. */
    const pin = async (): Promise<void> => {
      kept.pin = null;
      await page.keyboard.press("ArrowRight");
      const finger = random.whole(1, 5);
      await page.keyboard.press(String(finger));
      await page.waitForTimeout(150);
      const says = page.getByRole("status").filter({ hasText: /^Kept$/ });
      if (await says.isVisible()) kept.pin = { note: new URL(page.url()).searchParams.get("note") ?? "", finger };
    };

    /** Acts one after another until something is killed under them: pins on the page, takes and scores beside it. */
    const acting = async (stopped: () => boolean): Promise<void> => {
      while (!stopped()) {
        const act = random.whole(0, 3);
        if (act <= 1) {
          await pin();
          continue;
        }
        try {
          if (act === 2) {
            const id = randomUUID();
            const keys = study.passage.notes.map(({ pitch }, i) => [pitch, 150 * i, 150 * i + 140, 64]);
            const of = { id, passageId, fingeringId: option!.id, version: 1, snip: null, pedal: [] };
            const answer = await caller.ask("keepTake", { ...of, source: "screen", tempo: 80, click: false, keys });
            if (answer.ok) kept.takes.add(id);
          } else {
            await caller.bringIn("made-up.musicxml", text);
            kept.pieces++;
          }
        } catch {
          // Cut off: whether it was kept is not known, so it was not said to be.
          await new Promise((go) => setTimeout(go, 50));
        }
      }
    };

    for (let cut = 0; cut < CUTS; cut++) {
      let isOver = false;
      const work = acting(() => isOver);
      await new Promise((go) => setTimeout(go, random.whole(300, 1800)));
      const what = KILLED[(SEED + cut) % KILLED.length]!;
      isOver = true;
      if (what !== "database") await house.killServer();
      if (what !== "server") house.killDatabase();
      await work;
      await close();
      if (what !== "server") house.startDatabase();
      ({ db, close } = await house.migrated());

      await test.step(`after the ${what} was killed, all that was said to be kept is there, and whole`, async () => {
        const now = (await fingeringById(db, option!.id))!;
        if (kept.pin?.note) expect(now.pins[kept.pin.note as never]).toBe(kept.pin.finger);
        const there = new Set((await db.select({ id: take.id }).from(take)).map(({ id }) => id));
        for (const id of kept.takes) expect(there).toContain(id);
        expect(await db.$count(piece, eq(piece.pianistId, playerId))).toBeGreaterThanOrEqual(kept.pieces);
        // Nothing half-written: no take without its figures, no option whose version is not there, no piece without a score.
        const [half] = await db.execute(sql`
          select (select count(*) from take left join take_figures on take_id = take.id where take_id is null)
            + (select count(*) from fingering f left join fingering_version v on v.fingering_id = f.id and v.version = f.version where v.version is null)
            + (select count(*) from piece where length(source) = 0) as half`);
        expect(Number((half as { half: string }).half)).toBe(0);
        kept.pieces = await db.$count(piece, eq(piece.pianistId, playerId));
      });

      if (what !== "database") await house.startServer();
      await test.step("the page keeps by itself what was under way, and shows what is kept", async () => {
        await expect(page.getByRole("status").filter({ hasText: /^Kept$/ })).toBeVisible();
        const { digits } = (await fingeringById(db, option!.id))!;
        const shown = await digitsShown(page);
        for (const [note, digit] of Object.entries(shown)) expect(String(digits[note as never])).toBe(digit);
        expect(Object.keys(shown).length).toBeGreaterThan(4);
      });
    }

    await test.step("and so does a page that is opened anew", async () => {
      const before = await digitsShown(page);
      await page.goto(`/bench/${passageId}`);
      await engraved(page);
      expect(await digitsShown(page)).toEqual(before);
      await context.close();
    });
  } finally {
    await close();
    await closeThreads();
    await house.away();
  }
});
