import { randomUUID } from "node:crypto";
import { dayAfter } from "@/core/time/days";
import type { Db } from "@/db/client";
import { addFirstFingerings, fingeringsOf } from "@/db/queries/fingerings";
import { keepPracticeDay } from "@/db/queries/passages";
import { demoPianist, firstPianist } from "@/db/queries/pianists";
import { piecesWithPassages } from "@/db/queries/pieces";
import { handMeasurement, instrument, pianist, recital } from "@/db/schema";
import { compose } from "@/demo/compose";
import {
  DEMO_INSTRUMENT,
  DEMO_MEASUREMENTS,
  DEMO_PIANIST,
  DEMO_PIECES,
  DEMO_RECITAL,
  type DemoChoice,
  type DemoTried,
} from "@/demo/scenario";
import { serverZone, today } from "./players/day";
import { passageGiven } from "./passages/passage-given";
import { addPassage } from "./passages/passages";
import { keepPractised } from "./practice/demo-practice";
import { importPiece } from "./pieces/pieces";
import { inThread } from "./threads/pool";
import { tryOut } from "./trials/demo-takes";
import type { Answer } from "./types";
import { addVerdict } from "./verdicts/verdicts";

/**
 * Loads the demo through the same doors a player uses, and goes on where an earlier loading broke off. Its options are
 * searched outside any transaction, side by side.
 * @returns false where there was nothing to load: the demo is there, or other players are and no demo was begun
 */
export async function loadDemo(db: Db): Promise<boolean> {
  if (!(await demoPianist(db))) {
    if (await firstPianist(db)) return false;
    await db.transaction((tx) => beginWith(tx));
  }
  const open = await unfinished(db);
  await Promise.all(open.map((passage) => workOut(db, passage)));
  await keepWeeks(db);
  return open.length > 0;
}

/** The player, the hands, the recital and the pieces with their passages: all of it or nothing. */
async function beginWith(db: Db): Promise<void> {
  const [player] = await db
    .insert(pianist)
    .values({ ...DEMO_PIANIST, isDemo: true })
    .returning();
  const pianistId = player!.id;
  await db.insert(handMeasurement).values(DEMO_MEASUREMENTS.map((m) => ({ ...m, pianistId })));
  await db.insert(instrument).values({ ...DEMO_INSTRUMENT, pianistId });
  const [evening] = await db
    .insert(recital)
    .values({ pianistId, title: DEMO_RECITAL.title, heldOn: DEMO_RECITAL.date })
    .returning();
  for (const { score, fileName, passages } of DEMO_PIECES) {
    const bytes = new TextEncoder().encode(compose(score));
    const { pieceId } = done(await importPiece(db, pianistId, { name: fileName, bytes }, evening!.id));
    for (const { chosen, tried, ...asked } of passages) {
      void [chosen, tried];
      done(await addPassage(db, { ...asked, pieceId }));
    }
  }
}

/** The demo's own passages that have no options yet, with what is to be said about each. */
async function unfinished(db: Db): Promise<readonly Unfinished[]> {
  const player = (await demoPianist(db))!;
  const there = await piecesWithPassages(db, player.id);
  const own = DEMO_PIECES.flatMap(({ fileName, passages }) => {
    const kept = there.find((piece) => piece.fileName === fileName)?.passages ?? [];
    return passages.flatMap(({ title, chosen, tried = [] }) => {
      const found = kept.find((passage) => passage.title === title);
      return found ? [{ passageId: found.id, chosen, tried }] : [];
    });
  });
  const options = await Promise.all(own.map(({ passageId }) => fingeringsOf(db, passageId)));
  return own.filter((_, i) => options[i]!.length === 0);
}

/** The weeks of practice before the demo begins. */
async function keepWeeks(db: Db): Promise<void> {
  const player = (await demoPianist(db))!;
  const there = await piecesWithPassages(db, player.id);
  const ids = new Map(there.flatMap(({ passages }) => passages.map(({ id, title }) => [title, id])));
  await keepPractised(db, player.id, ids, today(serverZone()));
}

interface Unfinished {
  readonly passageId: string;
  readonly chosen: DemoChoice | undefined;
  readonly tried: readonly DemoTried[];
}

async function workOut(db: Db, { passageId, chosen, tried }: Unfinished): Promise<void> {
  const { study } = (await passageGiven(db, passageId))!;
  const options = await inThread("firstOptions", { study });
  await db.transaction(async (tx) => {
    const digits = options.map(({ fingering, ...option }) => ({ ...option, digits: fingering }));
    const kept = await addFirstFingerings(tx, passageId, digits);
    if (chosen) await choose(tx, passageId, chosen, new Map(kept!.map((o) => [o.name, o.id])));
    for (const story of tried) {
      const option = kept!.find(({ name }) => name === story.option);
      if (option) await tryOut(tx, { passageId, study, option, story });
    }
  });
}

/** What has been said about a passage when the demo begins. */
async function choose(
  db: Db,
  passageId: string,
  { decideIn, known, taken }: DemoChoice,
  ids: ReadonlyMap<string, string>,
): Promise<void> {
  const say = async (event: Partial<VerdictSaid> & Pick<VerdictSaid, "kind">): Promise<void> => {
    const usual = { fingeringId: null, reason: "", author: DEMO_PIANIST.name, decideOn: null, reviewAfter: null };
    done(await addVerdict(db, { ...usual, ...event, id: randomUUID(), passageId }));
  };
  if (known) await say({ kind: "known", fingeringId: ids.get(known) ?? null });
  if (decideIn !== undefined) await say({ kind: "undecided", decideOn: dayAfter(today(serverZone()), decideIn) });
  if (!taken) return;
  const { option, reason, reviewAfter } = taken;
  await say({ kind: "taken", fingeringId: ids.get(option) ?? null, reason, reviewAfter });
  for (let i = 0; i < reviewAfter; i++)
    await keepPracticeDay(db, randomUUID(), passageId, dayAfter(today(serverZone()), i), true);
}

type VerdictSaid = Parameters<typeof addVerdict>[1];

function done<T>(answer: Answer<T>): T {
  if (!answer.ok) throw new Error(`The demo cannot be loaded: ${answer.message}`);
  return answer.value;
}
