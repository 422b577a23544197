import { z } from "zod";
import { NO_DOSE, sumOfDoses, type Dose } from "@/core/practice/planner/dose";
import { dayAfter, type Day } from "@/core/time/days";
import { dayIn, type Zone } from "@/core/time/zone";
import { isClean, USUAL_RULE, type CleanRule } from "@/core/trials/clean";
import type { Db } from "@/db/client";
import { fingeringNames } from "@/db/queries/fingerings";
import { standingsOf } from "@/db/queries/passages";
import { piecesWithPassages } from "@/db/queries/pieces";
import {
  blocksOfDays,
  dosesOf,
  dosesOutsideBlocks,
  notesOf,
  playedOnDays,
  settingsOf,
  takesOfDiary,
} from "@/db/queries/practice";
import type { DiaryData, DiaryDay, DiaryNoteData, TakesOfDay } from "../types";
import { blockData } from "./block-data";

/** Days that the diary shows at a time. */
const SHOWN = 14;
/** The diary has no end but these. */
const [FIRST, LAST] = ["0001-01-01", "9999-12-31"] as const;

/** What of the diary is asked for, as it stands in an address. */
export const DiaryAsked = z.object({
  /** Of one passage alone, with every day there is. */
  passage: z.uuid().nullable().catch(null),
  /** Words that a day has to hold. */
  words: z.string().trim().max(120).catch(""),
  /** Days back from today before which the page begins. */
  back: z.coerce.number().int().min(0).max(36_500).catch(0),
});
export type DiaryWanted = z.infer<typeof DiaryAsked>;

type DiaryTake = Awaited<ReturnType<typeof takesOfDiary>>[number];

/**
 * The diary of a player, newest day first: a page of days; all days of one passage; or all days that hold some words. Its
 * queries do not grow with the days.
 */
export async function diaryData(
  db: Db,
  playerId: string,
  { passage, words, back }: DiaryWanted,
  { day, zone }: { readonly day: Day; readonly zone: Zone },
): Promise<DiaryData> {
  const window = windowOf({ passage, words, back }, day);
  const { pieces, doses, days, rule } = await daysWritten(db, playerId, window, { passage, zone });
  const passages = pieces.flatMap(({ title: of, passages: own }) =>
    own.map(({ id, title }) => ({ id, title, piece: of })),
  );
  // Of a search only the takes of the days that are found are read.
  const found = words === "" ? null : await daysHolding(words, { db, zone, days, passages });
  const on = found && { days: found, zone };
  const takes = await takesOfDiary(db, playerId, { ...window.moments, passageId: passage, ...(on ? { on } : {}) });
  for (const [played, own] of takesByDay(takes, rule, zone)) days.of(played)?.takes.push(...own);
  return {
    playerId,
    today: day,
    days: days.newestFirst().filter((one) => found === null || found.includes(one.day)),
    page: SHOWN,
    hasMore: !window.isAll && (doses[0]?.day ?? day) < window.from,
    passages,
    doses,
  };
}

/** The days of a window with everything but their takes, and what is known of all days. */
async function daysWritten(
  db: Db,
  playerId: string,
  window: Window,
  { passage, zone }: { readonly passage: string | null; readonly zone: Zone },
) {
  const [pieces, blocks, notes, standings, inBlocks, outside, settings] = await Promise.all([
    piecesWithPassages(db, playerId),
    blocksOfDays(db, playerId, window.from, window.to),
    notesOf(db, playerId, { ...window, passageId: passage }),
    standingsOf(db, playerId),
    dosesOf(db, playerId),
    dosesOutsideBlocks(db, playerId, new Date(0), zone),
    settingsOf(db, playerId),
  ]);
  const letters = await fingeringNames(
    db,
    standings.events.flatMap(({ fingeringId }) => fingeringId ?? []),
  );
  const doses = together(inBlocks, outside);
  const days = new DiaryDays(window, new Map(doses.map(({ day: on, dose }) => [on, dose])));
  const isWanted = (id: string | null): boolean => passage === null || id === passage;
  for (const kept of blocks.filter(({ block }) => isWanted(block.passageId)))
    days.of(kept.on)?.blocks.push(blockData(kept));
  for (const event of standings.events.filter(({ passageId }) => isWanted(passageId)))
    days.of(dayIn(zone, event.at.getTime()))?.decided.push(decidedData(event, letters));
  for (const note of notes) days.of(note.on)?.notes.push(noteData(note));
  return { pieces, doses, days, rule: settings?.rule ?? null };
}

interface Searched {
  readonly db: Db;
  readonly zone: Zone;
  readonly days: DiaryDays;
  readonly passages: DiaryData["passages"];
}

/** The days that hold all of some words, in what is written of them or in the name of what was played. */
async function daysHolding(words: string, { db, zone, days, passages }: Searched): Promise<readonly string[]> {
  const names = new Map(passages.map(({ id, title, piece }) => [id, `${title} ${piece}`]));
  const wanted = wordsOf(words);
  // What was played counts where its name holds one of the words.
  const named = [...names].filter(([, name]) => wanted.some((word) => name.toLocaleLowerCase().includes(word)));
  for (const { day: on, passageId } of await playedOnDays(
    db,
    named.map(([id]) => id),
    zone,
  ))
    days.of(on)?.played.push(names.get(passageId) ?? "");
  return days.holding(wanted, names);
}

type DayDoses = readonly { readonly day: string; readonly right: number; readonly left: number }[];

/** Minutes and wide openings of each day, in blocks and outside them, oldest first. */
function together(inBlocks: Awaited<ReturnType<typeof dosesOf>>, outside: DayDoses): DiaryData["doses"] {
  const minutes = new Map(inBlocks.map((one) => [one.day, one.minutes]));
  const doses = new Map<string, Dose>();
  for (const { day: on, right, left } of [...inBlocks, ...outside])
    doses.set(on, sumOfDoses([doses.get(on) ?? NO_DOSE, { right, left }]));
  return [...doses]
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([on, dose]) => ({ day: on as Day, dose, minutes: minutes.get(on) ?? 0 }));
}

/** The days of the diary that are wanted, both ends included. */
interface Window {
  readonly from: string;
  readonly to: string;
  /** Moments within which everything of those days lies, wherever the player is. */
  readonly moments: { readonly from: Date; readonly to: Date };
  readonly isAll: boolean;
}

function windowOf({ passage, words, back }: DiaryWanted, day: Day): Window {
  if (passage !== null || words !== "")
    return { from: FIRST, to: LAST, moments: { from: new Date(0), to: momentOf(LAST) }, isAll: true };
  const [from, to] = [dayAfter(day, 1 - back - SHOWN), dayAfter(day, -back)];
  return { from, to, moments: { from: momentOf(dayAfter(from, -1)), to: momentOf(dayAfter(to, 2)) }, isAll: false };
}

function decidedData(
  { passageId, kind, reason, author, fingeringId }: Awaited<ReturnType<typeof standingsOf>>["events"][number],
  letters: ReadonlyMap<string, string>,
): DiaryDay["decided"][number] {
  return { passageId, kind, reason, author, option: (fingeringId && letters.get(fingeringId)) || null };
}

function momentOf(day: string): Date {
  return new Date(`${day}T00:00:00Z`);
}

/** Days as they are filled. */
class DiaryDays {
  private readonly all = new Map<string, Filling>();

  constructor(
    private readonly window: Pick<Window, "from" | "to">,
    private readonly doses: ReadonlyMap<string, Dose>,
  ) {}

  /** A day of the window; undefined for any other. */
  of(on: string): Filling | undefined {
    if (on < this.window.from || on > this.window.to) return undefined;
    const known = this.all.get(on);
    if (known) return known;
    const made: Filling = { blocks: [], takes: [], decided: [], notes: [], played: [] };
    this.all.set(on, made);
    return made;
  }

  /** The days that hold all of some words, wherever they stand in them. */
  holding(words: readonly string[], names: ReadonlyMap<string, string>): readonly string[] {
    return [...this.all].flatMap(([on, filled]) => (holds(filled, words, names) ? [on] : []));
  }

  newestFirst(): DiaryDay[] {
    return [...this.all]
      .sort(([a], [b]) => (a < b ? 1 : -1))
      .map(([on, { played: _, ...filled }]) => ({
        day: on as Day,
        ...filled,
        dose: this.doses.get(on) ?? NO_DOSE,
        minutes: filled.blocks.reduce((sum, { done }) => sum + (done?.minutes ?? 0), 0),
      }));
  }
}

type Filling = { -readonly [K in "blocks" | "takes" | "decided" | "notes"]: DiaryDay[K][number][] } & {
  /** Names of what was played, where a day is only looked through. */
  readonly played: string[];
};

/** Takes of each day, passage by passage, in the order of the day. */
export function takesByDay(
  takes: readonly DiaryTake[],
  rule: CleanRule | null,
  zone: Zone,
): ReadonlyMap<Day, readonly TakesOfDay[]> {
  const days = new Map<Day, Map<string, DiaryTake[]>>();
  for (const take of takes) {
    const on = dayIn(zone, take.at.getTime());
    const day = days.get(on) ?? new Map<string, DiaryTake[]>();
    days.set(on, day);
    day.set(take.passageId, [...(day.get(take.passageId) ?? []), take]);
  }
  return new Map([...days].map(([on, day]) => [on, [...day].map(([id, own]) => takesOfDay(id, own, rule))]));
}

function takesOfDay(passageId: string, takes: readonly DiaryTake[], rule: CleanRule | null): TakesOfDay {
  const clean = takes.filter(({ measures }) => isClean(measures, rule ?? USUAL_RULE));
  const tensions = takes.flatMap(({ tension }) => tension ?? []);
  return {
    passageId,
    takes: takes.length,
    clean: clean.length,
    cleanTempo: clean.length === 0 ? null : Math.max(...clean.map(({ tempo }) => tempo)),
    tension: tensions.length === 0 ? null : Math.max(...tensions),
    options: [...new Set(takes.map(({ option }) => option))].sort(),
  };
}

export function noteData({
  id,
  passageId,
  on,
  text,
  author,
}: Awaited<ReturnType<typeof notesOf>>[number]): DiaryNoteData {
  return { id, passageId, on: on as Day, text, author };
}

/** Whether a day holds all of some words, wherever they stand in it. */
function holds(one: Filling, words: readonly string[], names: ReadonlyMap<string, string>): boolean {
  const nameOf = (id: string | null): string => (id === null ? "" : (names.get(id) ?? ""));
  const text = [
    ...one.notes.flatMap((note) => [note.text, note.author ?? "", nameOf(note.passageId)]),
    ...one.blocks.flatMap(({ why, doing, done, passage, piece }) => [
      why,
      doing,
      done?.note ?? "",
      passage?.title ?? "",
      piece?.title ?? "",
    ]),
    ...one.decided.flatMap(({ reason, author, kind, passageId }) => [reason, author, kind, nameOf(passageId)]),
    ...one.played,
  ]
    .join(" ")
    .toLocaleLowerCase();
  return words.every((word) => text.includes(word));
}

/** Words as they are looked for: each by itself, however it is written. */
function wordsOf(words: string): readonly string[] {
  return words.toLocaleLowerCase().split(/\s+/);
}
