import type { Pitch } from "../keyboard/pitch";
import type { NoteId } from "../passage/note";
import { placeText } from "../passage/place";
import { stepsOf } from "../fingering/study/steps";
import { cleanMeasures, uncleanWhy, USUAL_RULE, type CleanMeasures, type CleanRule } from "./clean";
import { figuresOf, TAKE_FIGURES, type TakeFigures } from "./figures";
import type { Heard } from "./heard";

/** What went astray, for the score: at a note, and so many semitones above it where another key was struck. */
export interface MarkHeard {
  readonly note: NoteId;
  readonly kind: "missed" | "wrong" | "neighbour" | "twice" | "added";
  readonly semitones: number;
}

/** One onset for the lanes under the score. */
export interface OnsetReported {
  readonly note: NoteId;
  /** ms of the take at which it was struck. */
  readonly ms: number;
  /** Keys that went down for it, in the place of it and beside it, the lowest first. */
  readonly keys: readonly Pitch[];
  /** ms; null where nothing is about it. */
  readonly late: number | null;
  /** The strongest of its keys, 1 to 127. */
  readonly velocity: number;
  /** Quarter notes a minute from the onset before; null at the first. */
  readonly tempo: number | null;
  readonly isJoin: boolean;
}

/** A take told: plain data for a page, a worker or a database. */
export interface TakeReport {
  /** What to look at first, in one sentence. */
  readonly first: string;
  readonly clean: boolean;
  /** Why it is not, in sentences. */
  readonly why: readonly string[];
  /** What a rule of what is clean looks at. */
  readonly measures: CleanMeasures;
  readonly faults: number;
  readonly runs: number;
  /** How many keys can be read in another way as well. */
  readonly doubtful: number;
  readonly marks: readonly MarkHeard[];
  readonly onsets: readonly OnsetReported[];
  readonly figures: readonly FigureReported[];
}

interface FigureReported {
  readonly id: string;
  readonly label: string;
  readonly unit: string;
  readonly amount: number;
  readonly parts: Readonly<Record<string, number>> | null;
}

/** Tells a take that was heard. */
export function reportOf(heard: Heard, rule: CleanRule = USUAL_RULE): TakeReport {
  const figures = figuresOf(heard);
  const measures = cleanMeasures(heard, figures);
  const why = uncleanWhy(measures, rule);
  const marks = marksOf(heard, figures);
  return {
    first: firstOf(heard, marks, why),
    clean: why.length === 0,
    why,
    measures,
    faults: measures.faults,
    runs: heard.read.runs.length,
    doubtful: heard.read.doubtful.length,
    marks,
    onsets: onsetsOf(heard),
    figures: TAKE_FIGURES.flatMap(({ id, label, unit }) => {
      const found = figures[id];
      return found ? [{ id, label, unit, amount: found.amount, parts: found.parts ?? null }] : [];
    }),
  };
}

function marksOf({ read, onsets }: Heard, figures: TakeFigures): readonly MarkHeard[] {
  const struck = read.read.flatMap((one, j): MarkHeard[] => {
    if (one.kind === "right" || one.kind === "ornament") return [];
    if (one.kind === "wrong") return [{ note: one.note.id, kind: "wrong", semitones: one.semitones }];
    const { key } = read.keys[j]!;
    const notes = onsets[one.onset]?.notes ?? [];
    if (notes.length === 0) return [];
    const nearest = notes.reduce((a, b) => (Math.abs(b.key - key) < Math.abs(a.key - key) ? b : a));
    return [{ note: nearest.id, kind: one.kind, semitones: key - nearest.key }];
  });
  const missed = figures["missed"]?.places ?? [];
  return [...struck, ...missed.map(({ note }): MarkHeard => ({ note, kind: "missed", semitones: 0 }))];
}

function onsetsOf({ struck, read, run }: Heard): readonly OnsetReported[] {
  const keysAt = new Map<number, Pitch[]>();
  for (const j of run?.keys ?? []) {
    const at = read.read[j]!.onset;
    keysAt.set(at, [...(keysAt.get(at) ?? []), read.keys[j]!.key]);
  }
  return struck.map((now, i) => {
    const before = struck[i - 1];
    const quarters = before ? now.expected.at - before.expected.at : 0;
    const ms = before ? now.ms - before.ms : 0;
    return {
      note: now.expected.notes[0]!.id,
      ms: now.ms,
      keys: [...new Set(keysAt.get(now.expected.index) ?? [])].sort((a, b) => a - b),
      late: now.late,
      velocity: Math.max(...now.notes.map(({ key }) => key.velocity)),
      tempo: quarters > 0 && ms > 0 ? (60_000 * quarters) / ms : null,
      isJoin: now.isJoin,
    };
  });
}

const ASTRAY: Readonly<Record<MarkHeard["kind"], string>> = {
  missed: "a note is missed",
  wrong: "another key is struck",
  neighbour: "a neighbour is caught",
  twice: "a key is struck twice",
  added: "a key is struck that nothing asks for",
};

/** Where most went astray within a bar, else what else is not clean, else that all is well. */
function firstOf({ study, run }: Heard, marks: readonly MarkHeard[], why: readonly string[]): string {
  if (run === null) return "Nothing of the passage was heard.";
  const steps = stepsOf(study);
  const placed = marks.flatMap((mark) => {
    const step = steps.find(({ notes }) => notes.includes(mark.note));
    return step ? [{ mark, step }] : [];
  });
  const bars = new Map<string, number>();
  for (const { step } of placed) bars.set(step.bar, (bars.get(step.bar) ?? 0) + 1);
  const worst = [...bars].reduce((a, b) => (b[1] > a[1] ? b : a), ["", 0] as [string, number])[0];
  const first = placed.find(({ step }) => step.bar === worst);
  if (!first) return why[0] ?? "Clean.";
  const place = placeText(first.step.bar, first.step.beat);
  const sentence = `${place}: ${ASTRAY[first.mark.kind]}`;
  const more = bars.get(worst)! - 1;
  return `${sentence[0]!.toUpperCase()}${sentence.slice(1)}${more > 0 ? `, and ${more} more in that bar` : ""}.`;
}
