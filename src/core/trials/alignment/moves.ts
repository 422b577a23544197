import { READING } from "../../physics";
import { isOfOrnament, type OnsetExpected } from "../expected";
import type { KeyStruck } from "../take";

/**
 * Where a reading of a take stands: at an onset, with some of its notes struck, and perhaps some of the onset before still
 * owed. Sets of notes are bits by place in the onset.
 */
export interface Standing {
  /** Place of the onset; -1 before the first. */
  readonly onset: number;
  readonly struck: number;
  /** Notes of the onset before that have not come; they are missed when the next onset begins. */
  readonly owed: number;
  /** Whether a run begins at this onset: then none of its notes is missed. */
  readonly begins: boolean;
  /** Place of the first right key of the onset, of its first where none is right; -1 before the first. */
  readonly since: number;
  /** Whether that key is right. */
  readonly isRight: boolean;
}

/** What a key is read as. */
export interface Meant {
  /** Place of its onset, and of its note in that; -1 for a key that nothing asks for. */
  readonly onset: number;
  readonly note: number;
  /** Whether the reading goes on at another place with it. */
  readonly jumps: boolean;
}

/** The music, the keys and the tempo that readings are priced by. */
export interface Reader {
  readonly onsets: readonly OnsetExpected[];
  readonly keys: readonly KeyStruck[];
  /** ms that a quarter note lasts about each key. */
  readonly quarterMs: readonly number[];
  /** Natural logarithm of how many times as long or as short a time may be for nothing. */
  readonly timeFree: number;
}

/**
 * Takes a way to read a key: where the reading stands then, what it costs, and what the key is read as: a note of its onset, -1
 * for none, so many onsets before the one where the reading stands.
 */
export type Taking = (to: Standing, cost: number, note: number, back: number) => void;

export const BEFORE: Standing = { onset: -1, struck: 0, owed: 0, begins: true, since: -1, isRight: false };

/**
 * Every way to read the next key but to jump with it.
 * @param j place of the key
 * @param most what a way may cost to be wanted
 */
export function eachMove(reader: Reader, from: Standing, j: number, most: number, take: Taking): void {
  const surplus = surplusCost(reader, from, j);
  if (surplus <= most) take(from, surplus, -1, 0);
  if (from.onset >= 0) within(reader, from, j, most, take);
  if (from.owed !== 0) late(reader, from, j, take);
  onward(reader, from, j, most, take);
}

/** What a key costs that no note asks for: little where an ornament may move there. */
function surplusCost({ onsets, keys }: Reader, { onset }: Standing, j: number): number {
  const here = onsets[Math.max(0, onset)]!;
  return isOfOrnament(here, keys[j]!.key) ? READING.ornament : READING.extra;
}

/** Where a reading stands that begins anew with a key, at a note that asks for it; -1 for the onset's ornament. */
export function begunAt(onset: number, note: number, j: number): Standing {
  const isRight = note >= 0;
  return { onset, struck: isRight ? 1 << note : 0, owed: 0, begins: true, since: j, isRight };
}

/** What it costs to begin anew with a key. */
export function jumpCost({ keys }: Reader, j: number): number {
  const isPaused = j > 0 && keys[j]!.downMs - keys[j - 1]!.downMs >= READING.pauseMs;
  return isPaused ? READING.jumpAfterPause : READING.jump;
}

/** What is missed where the take ends: notes of an onset that the music has gone past. Where it stands it may stop. */
export function endCost({ owed }: Standing): number {
  return READING.missed * bitsIn(owed);
}

/**
 * Whether a reading cannot become cheaper by so much from one standing than from another at the same onset: the other goes the
 * same way, and pays for what it cannot do. Asked very often: what tells soonest is asked first.
 */
export function gainsLess(onsets: readonly OnsetExpected[], by: number, standing: Standing, other: Standing): boolean {
  const isSince = standing.since === other.since && standing.isRight && other.isRight;
  let most = isSince && standing.begins === other.begins ? 0 : READING.timeMost;
  if (most >= by) return false;
  const missed = bitsIn(standing.struck & ~other.struck) + bitsIn(other.owed & ~standing.owed);
  most += missed * READING.missed + bitsIn(other.struck & ~standing.struck) * READING.extra;
  if (most >= by) return false;
  const isSpared = standing.begins && !other.begins;
  if (isSpared || !isSince)
    most += bitsIn(unstruck(onsets, other)) * ((isSpared ? READING.missed : 0) + (isSince ? 0 : READING.spreadMost));
  return most < by;
}

/** Notes of its onset that have not been struck. */
function unstruck(onsets: readonly OnsetExpected[], { onset, struck }: Standing): number {
  if (onset < 0) return 0;
  return ~struck & ((1 << onsets[onset]!.notes.length) - 1);
}

/** Another note of the onset that the reading is at. */
function within({ onsets, keys }: Reader, from: Standing, j: number, most: number, take: Taking): void {
  const { notes } = onsets[from.onset]!;
  if (notes.length === 1) return;
  const after = Math.max(0, keys[j]!.downMs - keys[from.since]!.downMs - READING.spreadFreeMs);
  const spread = Math.min(READING.spreadMost, (READING.spread * after) / 100);
  for (let note = 0; note < notes.length; note++) {
    const wrong = wrongCost(keys[j]!.key - notes[note]!.key);
    if ((from.struck >> note) & 1 || wrong + spread > most) continue;
    const { owed, begins } = from;
    const isFirstRight = wrong === 0 && !from.isRight;
    const since = isFirstRight ? j : from.since;
    const to = {
      onset: from.onset,
      struck: from.struck | (1 << note),
      owed,
      begins,
      since,
      isRight: isFirstRight || from.isRight,
    };
    take(to, spread + wrong, note, 0);
  }
}

/** A note of the onset before, which the other hand may have overtaken. */
function late({ onsets, keys }: Reader, from: Standing, j: number, take: Taking): void {
  onsets[from.onset - 1]!.notes.forEach(({ key }, note) => {
    if (!((from.owed >> note) & 1) || key !== keys[j]!.key) return;
    const to = { ...from, owed: from.owed & ~(1 << note) };
    take(to, READING.late, note, 1);
  });
}

/** The next onset, or one after it, as far on as missing what lies between costs less than to jump there. */
function onward(reader: Reader, from: Standing, j: number, most: number, take: Taking): void {
  const { onsets, keys } = reader;
  const open = from.begins ? 0 : unstruck(onsets, from);
  const furthest = Math.min(most, READING.jump);
  let missed = READING.missed * bitsIn(from.owed);
  for (let onset = from.onset + 1; onset < onsets.length && missed <= furthest; onset++) {
    const { notes } = onsets[onset]!;
    let time = -1;
    for (let note = 0; note < notes.length; note++) {
      const wrong = wrongCost(keys[j]!.key - notes[note]!.key);
      if (missed + wrong > most) continue;
      if (time < 0) time = timeCost(reader, from, onset, j);
      if (missed + wrong + time > most) continue;
      const owed = onset === from.onset + 1 ? open : 0;
      const to = { onset, struck: 1 << note, owed, begins: false, since: j, isRight: wrong === 0 };
      take(to, missed + wrong + time, note, 0);
    }
    // Going past it, what is still open at the onset the reading stood at is missed, and then all of this one.
    if (onset === from.onset + 1) missed += READING.missed * bitsIn(open);
    missed += READING.missed * notes.length;
  }
}

function wrongCost(semitones: number): number {
  const off = Math.abs(semitones);
  if (off === 0) return 0;
  return off > READING.wrongMost ? Infinity : READING.wrong + READING.wrongPerSemitone * off;
}

/** What the time since the onset before costs, against the player's tempo there; nothing where a run has only just begun. */
function timeCost({ onsets, keys, quarterMs, timeFree }: Reader, from: Standing, onset: number, j: number): number {
  if (from.begins) return 0;
  const quarters = onsets[onset]!.at - onsets[from.onset]!.at;
  const played = Math.max(1, keys[j]!.downMs - keys[from.since]!.downMs);
  const off = Math.abs(Math.log(played / Math.max(1, quarters * quarterMs[j]!)));
  return Math.min(READING.timeMost, READING.time * Math.max(0, off - timeFree));
}

function bitsIn(set: number): number {
  let count = 0;
  for (let left = set; left !== 0; left &= left - 1) count++;
  return count;
}
