import { MOTION } from "../physics";
import { msOf, subtract, SURELY_APART, toMs, toNumber } from "../time/beats";
import type { Note } from "./note";

/** Notes of one hand that are struck together. */
export interface Together {
  /** At least one, in order. */
  readonly notes: readonly Note[];
  /** Quarter notes from the start of the piece at which they are written. */
  readonly quarters: number;
  /** ms from the start of the piece at which they are struck. */
  readonly ms: number;
  /** ms since what was struck before; Infinity for the first. */
  readonly gap: number;
  /** Whether all that was struck before has ended earlier, as written. */
  readonly afterRest: boolean;
  /** Whether they go on with a rolled chord. */
  readonly swept: boolean;
}

/**
 * What one hand strikes, moment by moment.
 * @param notes in order
 * @param tempo quarter notes a minute
 */
export function struckTogether(notes: readonly Note[], tempo: number): readonly Together[] {
  const groups = groupsOf(notes);
  let [endsBefore, struckBefore] = [Infinity, -Infinity];
  let end = -Infinity;
  return groups.map((together, index) => {
    const quarters = toNumber(together[0]!.onset);
    const ms = startMs(groups, index, quarters, tempo);
    const gap = gapBetween(struckBefore, ms);
    const afterRest = endsBefore < quarters - SURELY_APART;
    for (const { duration } of together) end = Math.max(end, quarters + toNumber(duration));
    [endsBefore, struckBefore] = [end, ms];
    return { notes: together, quarters, ms, gap, afterRest, swept: isSwept(groups, index) };
  });
}

function groupsOf(notes: readonly Note[]): readonly (readonly Note[])[] {
  const groups: Note[][] = [];
  for (const note of notes) {
    const last = groups.at(-1);
    if (last && last[0]!.onset === note.onset && last[0]!.grace === note.grace) last.push(note);
    else groups.push([note]);
  }
  return groups;
}

function isSwept(groups: readonly (readonly Note[])[], index: number): boolean {
  const [before, now] = [groups[index - 1]?.[0], groups[index]![0]!];
  return before?.rolled !== undefined && now.rolled !== undefined && before.onset === now.onset;
}

/**
 * ms from one moment to the next; never less than one. Like times in different places of a piece are one number: what is finer
 * than a nanosecond comes of reckoning.
 */
export function gapBetween(from: number, to: number): number {
  return Math.max(1, Math.round((to - from) * 1e6) / 1e6);
}

/** Grace notes are taken from the time before the note they lean on, at most half of it in all. */
function startMs(groups: readonly (readonly Note[])[], index: number, quarters: number, tempo: number): number {
  const note = groups[index]![0]!;
  const at = msOf(quarters, tempo);
  if (note.rolled) return at + note.grace * Math.min(note.rolled.stepMs, roomFor(groups, index, tempo));
  if (note.grace === 0) return at;
  let first = index;
  while (first > 0 && groups[first - 1]![0]!.grace < 0 && groups[first - 1]![0]!.onset === note.onset) first--;
  const count = -groups[first]![0]!.grace;
  const before = first > 0 ? toMs(subtract(note.onset, groups[first - 1]![0]!.onset), tempo) : Infinity;
  return at + note.grace * Math.min(MOTION.graceMs, before / 2 / count);
}

/** ms between the strokes of a rolled chord at most: over half of the time to the next notes it is not spread. */
function roomFor(groups: readonly (readonly Note[])[], index: number, tempo: number): number {
  const { onset, grace } = groups[index]![0]!;
  if (grace <= 0) return Infinity;
  let next = index + 1;
  while (next < groups.length && groups[next]![0]!.onset === onset) next++;
  const following = groups[next]?.[0];
  if (!following) return Infinity;
  const last = groups[next - 1]![0]!.grace;
  return toMs(subtract(following.onset, onset), tempo) / 2 / Math.max(1, last);
}
