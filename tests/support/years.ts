import { randomUUID } from "node:crypto";
import type { Fingering } from "@/core/fingering/study/fingering";
import type { Finger } from "@/core/hand/finger";
import { DAY_PLAN } from "@/core/physics";
import type { Note } from "@/core/passage/note";
import { dayAfter, type Day } from "@/core/time/days";
import { seeded, type Seeded } from "@/core/trials/simulated/seeded";
import type { Db } from "@/db/client";
import * as schema from "@/db/schema";
import { pianoPart } from "@/formats/musicxml/parts";
import { passageFrom } from "@/formats/musicxml/passage";
import { readScore } from "@/formats/musicxml/reading/open";
import { writeScore } from "@/formats/musicxml/writing/write-score";
import { madeMusic } from "./made-music";

/** How much a player of many years has. */
export interface Years {
  readonly pieces: number;
  readonly passages: number;
  readonly takes: number;
  /** Days of practice before today. */
  readonly days: number;
}

/** Rows written at once. */
const AT_ONCE = 400;
const DAY_MS = 86_400_000;
/** Bars of a made-up piece, and of a passage of it. */
const BARS = 16;
const PASSAGE_BARS = 2;

interface PassageMade {
  readonly id: string;
  readonly fingeringId: string;
  readonly notes: readonly Note[];
}

/**
 * Fills a database with a made-up player of many years: scores, passages with an option and a verdict each, takes with their
 * figures and what was felt, planned days with their blocks, and a diary. The same seed and day make the same, but for ids.
 */
export async function fillYears(db: Db, years: Years, today: Day, seed = 1): Promise<string> {
  const random = seeded(seed);
  const [player] = await db.insert(schema.pianist).values({ name: "Iven Hollow" }).returning({ id: schema.pianist.id });
  const pianistId = player!.id;
  const passages = await fillPieces(db, pianistId, years, random);
  await fillTakes(db, passages, years, random);
  await fillDays(db, pianistId, passages, years, today, random);
  return pianistId;
}

async function inserted<T extends object>(db: Db, table: never, rows: readonly T[]): Promise<void> {
  for (let i = 0; i < rows.length; i += AT_ONCE) await db.insert(table).values(rows.slice(i, i + AT_ONCE) as never);
}

async function fillPieces(db: Db, pianistId: string, years: Years, random: Seeded): Promise<readonly PassageMade[]> {
  const recitals = Array.from({ length: 12 }, (_, i) => {
    return {
      id: randomUUID(),
      pianistId,
      title: `Evening ${i + 1}`,
      heldOn: `2027-${String(i + 1).padStart(2, "0")}-20`,
    };
  });
  await inserted(db, schema.recital as never, recitals);
  const [pieces, passages, options, versions, verdicts] = [[], [], [], [], []] as Record<string, unknown>[][];
  const made: PassageMade[] = [];
  for (let i = 0; i < years.pieces; i++) {
    const text = writeScore(madeMusic(random, BARS));
    const source = new TextEncoder().encode(text);
    const read = readScore(source);
    if (!read.ok) throw new Error(read.issues[0]!.message);
    const part = pianoPart(read.value);
    const pieceId = randomUUID();
    const recitalId = random.chance(0.2) ? random.pick(recitals).id : null;
    const title = `Study ${i + 1}`;
    pieces!.push({
      id: pieceId,
      pianistId,
      recitalId,
      title,
      sourceKind: "file",
      fileName: `study-${i + 1}.musicxml`,
      source,
      partId: part.id,
    });
    const own = Math.floor(((i + 1) * years.passages) / years.pieces) - Math.floor((i * years.passages) / years.pieces);
    for (let p = 0; p < own; p++) {
      const fromBar = 1 + ((p * PASSAGE_BARS) % (BARS - PASSAGE_BARS));
      const toBar = fromBar + PASSAGE_BARS - 1;
      const { notes } = passageFrom(part, fromBar, toBar, "both");
      const [id, fingeringId] = [randomUUID(), randomUUID()];
      passages!.push({
        id,
        pieceId,
        title: `${title}, spot ${p + 1}`,
        fromBar,
        toBar,
        hands: "both",
        tempo: random.whole(50, 140),
      });
      options!.push({ id: fingeringId, passageId: id, name: "A", origin: "solved", version: 1 });
      versions!.push({ fingeringId, version: 1, digits: someDigits(notes), pins: {} });
      if (random.chance(0.7))
        verdicts!.push({
          id: randomUUID(),
          passageId: id,
          kind: "taken",
          fingeringId,
          reason: "It lies well.",
          author: "Iven Hollow",
        });
      made.push({ id, fingeringId, notes });
    }
  }
  await inserted(db, schema.piece as never, pieces!);
  await inserted(db, schema.passage as never, passages!);
  await inserted(db, schema.fingering as never, options!);
  await inserted(db, schema.fingeringVersion as never, versions!);
  await inserted(db, schema.verdictEvent as never, verdicts!);
  return made;
}

/** Digits by the keys alone: nobody plays them, they take the room of real ones. */
function someDigits(notes: readonly Note[]): Fingering {
  return Object.fromEntries(notes.map(({ id, pitch }) => [id, ((pitch % 5) + 1) as Finger]));
}

async function fillTakes(db: Db, passages: readonly PassageMade[], years: Years, random: Seeded): Promise<void> {
  const [takes, figures, felt] = [[], [], []] as Record<string, unknown>[][];
  for (let i = 0; i < years.takes; i++) {
    // A few passages are played far more than the rest.
    const at = Math.floor(passages.length * random.next() ** 3);
    const { id: passageId, fingeringId, notes } = passages[at]!;
    const id = randomUUID();
    const when = new Date(Date.now() - random.next() * years.days * DAY_MS);
    const tempo = random.whole(50, 120);
    const keys = notes.map(({ pitch }, k) => [pitch, 200 * k, 200 * k + 180, random.whole(40, 90)]);
    const astray = random.chance(0.4) ? { [random.pick(notes).id]: 1 } : {};
    const faults = Object.keys(astray).length;
    takes!.push({
      id,
      passageId,
      fingeringId,
      version: 1,
      source: "midi piano",
      tempo,
      click: false,
      hands: "both",
      keys,
      pedal: [],
      at: when,
    });
    figures!.push({
      ...{ takeId: id, faults, tempoReached: tempo, first: faults > 0 ? "A wrong key." : "Clean.", astray, late: {} },
      ...{
        measures: { reachedEnd: true, runs: 1, faults, meant: tempo, tempo, evenness: 12, latest: 10 },
        amounts: { tempo, faults },
        doseRight: random.next(),
        doseLeft: 0,
      },
    });
    if (random.chance(0.3)) felt!.push({ takeId: id, places: [], amount: random.whole(0, 8), bars: null, at: when });
  }
  await inserted(db, schema.take as never, takes!);
  await inserted(db, schema.takeFigures as never, figures!);
  await inserted(db, schema.felt as never, felt!);
}

async function fillDays(
  db: Db,
  pianistId: string,
  passages: readonly PassageMade[],
  years: Years,
  today: Day,
  random: Seeded,
): Promise<void> {
  const [plans, blocks, notes, practised] = [[], [], [], []] as Record<string, unknown>[][];
  for (let ago = 1; ago <= years.days; ago++) {
    if (random.chance(0.2)) continue;
    const on = dayAfter(today, -ago);
    const dayPlanId = randomUUID();
    plans!.push({ id: dayPlanId, pianistId, on, minutes: 60 });
    const chosen = new Set(Array.from({ length: 4 }, () => random.pick(passages).id));
    [...chosen].forEach((passageId, place) => {
      const done = random.chance(0.85);
      const cameOf = done ? { state: "done", doneMinutes: DAY_PLAN.block, doneAt: new Date(`${on}T10:00:00Z`) } : {};
      blocks!.push({
        dayPlanId,
        place,
        doing: "secure",
        passageId,
        why: "it comes back",
        minutes: DAY_PLAN.block,
        doseRight: random.next(),
        ...cameOf,
      });
      if (done) practised!.push({ passageId, day: on });
    });
    if (random.chance(0.5))
      notes!.push({
        id: randomUUID(),
        pianistId,
        passageId: [...chosen][0],
        on,
        text: random.pick(WORDS),
        author: null,
      });
  }
  await inserted(db, schema.dayPlan as never, plans!);
  await inserted(db, schema.block as never, blocks!);
  await inserted(db, schema.diaryNote as never, notes!);
  await inserted(db, schema.practiceDay as never, practised!);
}

const WORDS = ["The thumb came late.", "Loose today.", "Slow, and it held.", "Let the arm carry it.", "Cold hands."];
