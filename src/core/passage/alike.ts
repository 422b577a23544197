import { toNumber } from "../time/beats";
import { placeText } from "./place";
import { noteName, type Note, type NoteId } from "./note";

/** How the notes of a passage stand to those of another edition of the same music. */
export interface Alike {
  /** For each note of ours that has one, theirs. */
  readonly theirs: ReadonlyMap<NoteId, Note>;
  /** Notes of ours that they do not have. */
  readonly missing: readonly Note[];
  /** Where the editions differ, in sentences, in the order of the music. */
  readonly differences: readonly string[];
}

/** Notes struck together, grace notes apart. */
interface Moment {
  readonly notes: readonly Note[];
  readonly keys: ReadonlySet<number>;
  /** Quarter notes from the one before; 0 for the first. */
  readonly gap: number;
  readonly bar: string;
}

/** What it costs to read two moments as one: for each key that only one of them has, a rhythm that differs, another number of the bar. */
const COST = { key: 1, neighbour: 0.6, rhythm: 0.5, bar: 0.05, left: 1.1 } as const;
/** Half steps by which editions differ in a note: a sign more or less. */
const A_SIGN = 1;

/**
 * Finds a passage in another edition and pairs their notes, by pitch and rhythm: the stretch of theirs, and the pairs of
 * moments in it, that differ least, by dynamic programming (as sequences are aligned locally: Sellers, Journal of Algorithms
 * 1(4), 1980). Bars may be numbered otherwise, a note may have another sign, be left out or be added; an equal place by its
 * bar's number is preferred. Time and memory grow with the product of both lengths.
 * @param ours the notes of the passage, in order
 * @param theirs all notes of the other edition, in order
 */
export function alike(ours: readonly Note[], theirs: readonly Note[]): Alike {
  const [mine, other] = [momentsOf(ours), momentsOf(theirs)];
  const found = new Map<NoteId, Note>();
  const differences: string[] = [];
  const missing: Note[] = [];
  for (const { own, their } of pairsOf(mine, other)) {
    if (own === null) {
      if (their) differences.push(`${placeIn(their)}: the other edition has ${namesOf(their.notes)} more`);
      continue;
    }
    const paired = pairNotes(own, their);
    for (const [note, same] of paired.same) found.set(note.id, same);
    missing.push(...paired.missing);
    differences.push(...paired.differences.map((words) => `${placeIn(own)}: ${words}`));
  }
  return { theirs: found, missing, differences };
}

function momentsOf(notes: readonly Note[]): readonly Moment[] {
  const groups = new Map<string, Note[]>();
  for (const note of notes) {
    const key = `${note.onset} ${note.rolled ? 0 : note.grace}`;
    groups.set(key, [...(groups.get(key) ?? []), note]);
  }
  const all = [...groups.values()];
  return all.map((own, i): Moment => {
    const before = all[i - 1]?.[0];
    return {
      notes: own,
      keys: new Set(own.map(({ pitch }) => pitch)),
      gap: before ? toNumber(own[0]!.onset) - toNumber(before.onset) : 0,
      bar: own[0]!.bar,
    };
  });
}

function costOf(own: Moment, their: Moment, isFirst: boolean): number {
  let sum = 0;
  const left = [...their.keys].filter((key) => !own.keys.has(key));
  for (const key of own.keys) {
    if (their.keys.has(key)) continue;
    const near = left.findIndex((one) => Math.abs(one - key) <= A_SIGN);
    sum += near >= 0 ? COST.neighbour : COST.key;
    if (near >= 0) left.splice(near, 1);
  }
  const rhythm = isFirst || Math.abs(own.gap - their.gap) < 1e-9 ? 0 : COST.rhythm;
  return sum + COST.key * left.length + rhythm + (own.bar === their.bar ? 0 : COST.bar);
}

type Pair = { readonly own: Moment; readonly their: Moment | null } | { readonly own: null; readonly their: Moment };

/** The pairs of moments that cost least together; what comes before and after ours in theirs costs nothing. */
function pairsOf(mine: readonly Moment[], other: readonly Moment[]): readonly Pair[] {
  const width = other.length + 1;
  const total = new Float64Array((mine.length + 1) * width);
  const left = (moment: Moment): number => COST.left * moment.notes.length;
  for (let i = 1; i <= mine.length; i++) {
    const own = mine[i - 1]!;
    total[i * width] = total[(i - 1) * width]! + left(own);
    for (let j = 1; j <= other.length; j++) {
      const together = total[(i - 1) * width + j - 1]! + costOf(own, other[j - 1]!, i === 1);
      const without = total[(i - 1) * width + j]! + left(own);
      const more = total[i * width + j - 1]! + left(other[j - 1]!);
      total[i * width + j] = Math.min(together, without, more);
    }
  }
  let j = 0;
  for (let end = 1; end <= other.length; end++)
    if (total[mine.length * width + end]! < total[mine.length * width + j]! - 1e-12) j = end;
  const pairs: Pair[] = [];
  for (let i = mine.length; i > 0;) {
    const own = mine[i - 1]!;
    const now = total[i * width + j]!;
    if (j > 0 && near(now, total[(i - 1) * width + j - 1]! + costOf(own, other[j - 1]!, i === 1)))
      pairs.push({ own: mine[--i]!, their: other[--j]! });
    else if (near(now, total[(i - 1) * width + j]! + left(own))) pairs.push({ own: mine[--i]!, their: null });
    else pairs.push({ own: null, their: other[--j]! });
  }
  return pairs.reverse();
}

function near(a: number, b: number): boolean {
  return Math.abs(a - b) < 1e-9;
}

interface Paired {
  readonly same: readonly (readonly [own: Note, their: Note])[];
  readonly missing: readonly Note[];
  readonly differences: readonly string[];
}

/** Notes of two moments: the same key first, of the same staff where there are two; then those a sign apart. */
function pairNotes(own: Moment, their: Moment | null): Paired {
  const left = [...(their?.notes ?? [])];
  const take = (fits: (one: Note) => boolean): Note | null => {
    const at = left.findIndex(fits);
    return at < 0 ? null : left.splice(at, 1)[0]!;
  };
  const same: [Note, Note][] = [];
  const open: Note[] = [];
  for (const note of own.notes) {
    const found =
      take((one) => one.pitch === note.pitch && one.staff === note.staff) ?? take((one) => one.pitch === note.pitch);
    if (found) same.push([note, found]);
    else open.push(note);
  }
  const differences: string[] = [];
  const missing: Note[] = [];
  for (const note of open) {
    const found = take((one) => Math.abs(one.pitch - note.pitch) <= A_SIGN);
    if (found) same.push([note, found]);
    else missing.push(note);
    differences.push(
      found ? `${noteName(note)} here, ${noteName(found)} there` : `the other edition does not have ${noteName(note)}`,
    );
  }
  if (left.length > 0) differences.push(`the other edition has ${namesOf(left)} more`);
  const lengths = same.filter(([a, b]) => a.duration !== b.duration).map(([a]) => a);
  if (lengths.length > 0) differences.push(`${namesOf(lengths)} held for another time`);
  return { same, missing, differences };
}

function namesOf(notes: readonly Note[]): string {
  return notes.map(noteName).join(", ");
}

function placeIn({ notes: [first] }: Moment): string {
  return placeText(first!.bar, first!.beat);
}
