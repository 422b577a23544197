import { randomUUID } from "node:crypto";
import { eq } from "drizzle-orm";
import { connect } from "@/db/client";
import { fingeringById, fingeringsOf } from "@/db/queries/fingerings";
import { pianist, piece, take } from "@/db/schema";
import { writeScore } from "@/formats/musicxml/writing/write-score";
import { passageData } from "@/server/passages/passages";
import { closeThreads } from "@/server/threads/pool";
import { Caller } from "../tests/support/caller";
import { keptPassage } from "../tests/support/kept-passage";
import { madeMusic } from "../tests/support/made-music";
import { seeded } from "../tests/support/seeded";

/**
 * Players at work side by side against servers on one database: they read, pin, keep takes and bring scores in. Prints the
 * slowest of twenty of each act, every error, and whether what was said to be kept is there.
 * VELVET_ADDRESSES: the servers, by commas; LOAD_SECONDS; LOAD_PLAYERS.
 */
const ADDRESSES = process.env["VELVET_ADDRESSES"]!.split(",");
const SECONDS = Number(process.env["LOAD_SECONDS"] ?? 300);
const PLAYERS = Number(process.env["LOAD_PLAYERS"] ?? 50);
/** ms that a player thinks between two acts, at most. */
const THINKS_MS = 3000;

const { db, close } = connect(process.env["DATABASE_URL"]!);
const random = seeded(50);
const anyServer = (): string => random.pick(ADDRESSES);

const times = new Map<string, number[]>();
const errors: string[] = [];
async function timed<T>(act: string, work: () => Promise<T>): Promise<T | null> {
  const from = performance.now();
  try {
    return await work();
  } catch (error) {
    errors.push(`${act}: ${String(error)}`);
    return null;
  } finally {
    times.set(act, [...(times.get(act) ?? []), performance.now() - from]);
  }
}

/** A player with a passage of their own, and what was said to be kept of theirs. */
async function arrived(at: number) {
  const [made] = await db
    .insert(pianist)
    .values({ name: `Player ${at + 1}` })
    .returning({ id: pianist.id });
  const id = made!.id;
  const passageId = await keptPassage(db, writeScore(madeMusic(seeded(at + 1), 4)), {
    toBar: 2,
    hands: "both",
    playerId: id,
  });
  const data = (await passageData(db, passageId))!;
  return { id, passageId, data, caller: new Caller(anyServer, id), pinned: null as string | null, takes: 0, pieces: 1 };
}
type Arrived = Awaited<ReturnType<typeof arrived>>;

const ACTS: readonly (readonly [share: number, act: (player: Arrived) => Promise<void>])[] = [
  [0.3, async ({ caller }) => void (await timed("read Repertoire", () => caller.read("/")))],
  [0.3, async ({ caller, passageId }) => void (await timed("read Bench", () => caller.read(`/bench/${passageId}`)))],
  [0.2, pin],
  [0.15, keep],
  [0.05, bringIn],
];

async function pin(player: Arrived): Promise<void> {
  const { caller, passageId } = player;
  const [option] = await fingeringsOf(db, passageId);
  const note = random.pick(Object.keys(option!.digits));
  const finger = random.whole(1, 5);
  const digits = { ...option!.digits, [note]: finger };
  const edit = {
    id: randomUUID(),
    fingeringId: option!.id,
    onVersion: option!.version,
    kind: "pin",
    noteId: note,
    finger,
  };
  const pins = { ...option!.pins, [note]: finger };
  const answer = await timed("pin", () =>
    caller.ask("changeOption", { ...edit, digits, pins, ruledOut: option!.ruledOut }),
  );
  if (answer?.ok) player.pinned = `${option!.id} ${note} ${finger}`;
  else if (answer) errors.push(`pin: ${answer.message}`);
}

async function keep(player: Arrived): Promise<void> {
  const { caller, passageId, data } = player;
  const [option] = data.options;
  const keys = data.study.passage.notes.map(({ pitch }, i) => [pitch, 150 * i, 150 * i + 140, 64]);
  const of = { id: randomUUID(), passageId, fingeringId: option!.id, version: option!.version, snip: null, pedal: [] };
  const answer = await timed("keep a take", () =>
    caller.ask("keepTake", { ...of, source: "screen", tempo: 80, click: false, keys }),
  );
  if (answer?.ok) player.takes++;
  else if (answer) errors.push(`keep: ${answer.message}`);
}

async function bringIn(player: Arrived): Promise<void> {
  const text = writeScore(madeMusic(random, 16));
  if (await timed("bring in a score", () => player.caller.bringIn("made-up.musicxml", text))) player.pieces++;
}

async function play(player: Arrived, until: number): Promise<void> {
  while (Date.now() < until) {
    let left = random.next();
    const act = ACTS.find(([share]) => (left -= share) < 0) ?? ACTS[0]!;
    await act[1](player);
    await new Promise((go) => setTimeout(go, random.next() * THINKS_MS));
  }
}

/** What was said to be kept and is not there. */
async function lost(player: Arrived): Promise<readonly string[]> {
  const missing: string[] = [];
  if (player.pinned) {
    const [id, note, finger] = player.pinned.split(" ") as [string, string, string];
    const option = await fingeringById(db, id);
    if (String(option?.pins[note as never]) !== finger) missing.push(`pin ${player.pinned}`);
  }
  const takes = await db.$count(take, eq(take.passageId, player.passageId));
  if (takes !== player.takes) missing.push(`${takes} takes of ${player.takes}`);
  const pieces = await db.$count(piece, eq(piece.pianistId, player.id));
  if (pieces !== player.pieces) missing.push(`${pieces} pieces of ${player.pieces}`);
  return missing;
}

const players = [];
for (let i = 0; i < PLAYERS; i++) players.push(await arrived(i));
const until = Date.now() + SECONDS * 1000;
await Promise.all(players.map((player) => play(player, until)));
console.log(`${PLAYERS} players on ${ADDRESSES.length} server processes for ${SECONDS} s`);
for (const [act, all] of times) {
  const sorted = all.sort((a, b) => a - b);
  const at = (share: number): string =>
    `${sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))]!.toFixed(0)} ms`;
  console.log(
    `${act.padEnd(20)} ${String(all.length).padStart(6)} times, middle ${at(0.5)}, p95 ${at(0.95)}, most ${at(1)}`,
  );
}
const missing = (await Promise.all(players.map(lost))).flat();
console.log(`${errors.length} errors${errors.length > 0 ? `: ${[...new Set(errors)].slice(0, 5).join(" | ")}` : ""}`);
console.log(missing.length === 0 ? "nothing that was kept is lost" : `LOST: ${missing.slice(0, 5).join(" | ")}`);
await closeThreads();
await close();
