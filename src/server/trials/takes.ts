import { z } from "zod";
import type { Fingering } from "@/core/fingering/study/fingering";
import type { Study } from "@/core/fingering/study/study";
import { studyOf } from "@/core/fingering/study/study-data";
import type { Pitch } from "@/core/keyboard/pitch";
import { TEMPO_RANGE } from "@/core/passage/passage";
import { KEYBOARD } from "@/core/physics";
import type { PlanMarks } from "@/core/motion/marks/plan-marks";
import { doseAMinute, playedFor } from "@/core/practice/planner/dose";
import { isClean, USUAL_RULE } from "@/core/trials/clean";
import type { Snip } from "@/core/trials/snip";
import { heardOf } from "@/core/trials/heard";
import { reportOf } from "@/core/trials/report";
import { minutesOf, TAKE_SOURCES, type Take } from "@/core/trials/take";
import type { Db } from "@/db/client";
import type { PackedKey } from "@/db/schema/take";
import { digitsOfVersion, keepTake, takeById, takesOf, type TakeListed } from "@/db/queries/takes";
import { GONE } from "../gone";
import { NoteName } from "../passages/note-name";
import { passageGiven } from "../passages/passage-given";
import type { Answer, TakeData, WholeTake } from "../types";

/** Keys of a take at most: an hour of quick playing. */
const MOST_KEYS = 20_000;
/** Takes of a passage that are listed. */
const MOST_LISTED = 200;

const ms = z.number().min(0).max(86_400_000);
const velocity = z.number().int().min(1).max(127);
const KeyAsked = z.tuple([
  z.number().int().min(KEYBOARD.lowestKey, "A key lies off the keyboard.").max(KEYBOARD.highestKey),
  ms,
  ms.nullable(),
  velocity,
]);

/** A take as a page sends it, its keys packed. */
export const TakeAsked = z.object({
  id: z.uuid(),
  passageId: z.uuid(),
  fingeringId: z.uuid(),
  version: z.number().int().min(1),
  source: z.enum(TAKE_SOURCES),
  tempo: z.number().min(TEMPO_RANGE[0]).max(TEMPO_RANGE[1]),
  click: z.boolean(),
  /** Of what part of the passage; null for the whole. */
  snip: z.object({ from: NoteName, to: NoteName }).nullable(),
  keys: z.array(KeyAsked).min(1, "Nothing was played.").max(MOST_KEYS, "This take is longer than any passage."),
  pedal: z.array(z.tuple([ms, z.number().int().min(0).max(127)])).max(MOST_KEYS),
});

/** Keeps a take with what it came to, and lists the passage's takes. */
export async function addTake(db: Db, asked: z.infer<typeof TakeAsked>): Promise<Answer<readonly TakeData[]>> {
  const given = await passageGiven(db, asked.passageId);
  if (!given) return GONE;
  const digits = await digitsOfVersion(db, asked.passageId, asked.fingeringId, asked.version);
  if (!digits) return { ok: false, message: "This option does not belong to this passage." };
  const { hands } = given.passage;
  const study = studyOf({ ...given.study, manner: { ...given.study.manner, tempo: asked.tempo } });
  const snip = asked.snip as Snip | null;
  const { free } = given.passage.planMarks;
  await keepTake(db, { ...asked, hands, snip }, cameTo(study, digits, takeOf({ ...asked, hands, snip }), free));
  return { ok: true, value: await takesData(db, asked.passageId) };
}

/** What a take came to, as it is kept beside it. @param study at the tempo that was meant */
export function cameTo(
  study: Study,
  digits: Fingering,
  take: Take,
  free: PlanMarks["free"],
): Parameters<typeof keepTake>[2] {
  const { measures, faults, first, marks, figures, onsets } = reportOf(heardOf(study, digits, take, new Set(free)));
  const { right: doseRight, left: doseLeft } = playedFor(doseAMinute(study, digits), minutesOf(take));
  const astray: Record<string, number> = {};
  for (const { note } of marks) astray[note] = (astray[note] ?? 0) + 1;
  const amounts = Object.fromEntries(figures.map(({ id, amount }) => [id, amount]));
  const late = Object.fromEntries(
    onsets.flatMap(({ note, late: ms }) => (ms === null ? [] : [[note, Math.round(10 * ms) / 10]])),
  );
  const tempoReached = amounts["tempo"] ?? null;
  return { measures, faults, first, astray, late, amounts, tempoReached, doseRight, doseLeft };
}

/** The keys and the pedal of a take as the database keeps them. */
export function packed({ keys, pedal }: Pick<Take, "keys" | "pedal">): Pick<Packed, "keys" | "pedal"> {
  return {
    keys: keys.map(({ key, downMs, upMs, velocity: strength }) => [key, downMs, upMs, strength]),
    pedal: pedal.map(({ ms: at, value }) => [at, value]),
  };
}

/** The newest takes of a passage, newest first. */
export async function takesData(db: Db, passageId: string): Promise<readonly TakeData[]> {
  return (await takesOf(db, passageId, MOST_LISTED)).map(takeData);
}

function takeData({ passageId: _, at, tension, bars, easy, rule, measures, ...listed }: TakeListed): TakeData {
  return {
    ...listed,
    clean: isClean(measures, rule ?? USUAL_RULE),
    felt: tension === null ? null : { amount: tension, bars, easy },
    at: at.toISOString(),
  };
}

export const TakeWanted = z.object({ id: z.uuid() });

/** A take with its keys and the digits it was played on, to be heard and read again. */
export async function wholeTake(db: Db, { id }: z.infer<typeof TakeWanted>): Promise<Answer<WholeTake>> {
  const found = await takeById(db, id);
  return found ? { ok: true, value: { take: takeOf(found.take), digits: found.digits } } : GONE;
}

interface Packed extends Pick<Take, "source" | "tempo" | "click" | "hands" | "snip"> {
  readonly keys: readonly PackedKey[];
  readonly pedal: readonly (readonly [ms: number, value: number])[];
}

/** A take as the database keeps it, unpacked. */
export function takeOf({ keys, pedal, source, tempo, click, hands, snip }: Packed): Take {
  return {
    snip,
    source,
    tempo,
    click,
    hands,
    keys: keys.map(([key, downMs, upMs, strength]) => ({ key: key as Pitch, downMs, upMs, velocity: strength })),
    pedal: pedal.map(([at, value]) => ({ ms: at, value })),
  };
}
