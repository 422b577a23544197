import { SURVEY } from "../physics";
import type { Side } from "../hand/finger";
import { endOf, type Note, type NoteId } from "../passage/note";
import type { RemedyKind } from "../passage/remedied";
import { compare, toNumber, type Beats } from "../time/beats";
import type { Study } from "../fingering/study/study";
import { studyOf, type StudyData } from "../fingering/study/study-data";
import { gradeOfStrain, GRADES, type Grade } from "../placement/grade";
import type { Allowances } from "./allowances";
import { predicamentsOf, type Predicament } from "./predicament";
import { remediesThatHold } from "./remedies-for";

/** What a piece asks of two hands, bar by bar. */
export interface Survey {
  readonly bars: readonly BarSurveyed[];
  /** The hardest moments, hardest first. */
  readonly worst: readonly PlaceSurveyed[];
  /** Moments with more than one key down, by grade. */
  readonly counts: Readonly<Record<Grade, number>>;
  /** Kinds of remedy and how many of the moments out of reach each would help. */
  readonly remedies: Readonly<Partial<Record<RemedyKind, number>>>;
}

export interface BarSurveyed {
  /** Place of the bar, 1 for the first, and its number on paper. */
  readonly index: number;
  readonly number: string;
  /** The hardest grade and strain of each hand; null where it never has two keys down. */
  readonly right: HandDemand | null;
  readonly left: HandDemand | null;
}

interface HandDemand {
  readonly grade: Grade;
  readonly strain: number;
}

export interface PlaceSurveyed {
  readonly bar: number;
  readonly number: string;
  readonly beat: Beats;
  readonly side: Side;
  readonly keys: readonly number[];
  readonly grade: Grade;
  readonly strain: number;
  /** mm by which the nearest fingers are short; null where held or where fingers are too few. */
  readonly short: number | null;
  readonly note: NoteId;
  /** Kinds of remedy, least lost first. */
  readonly remedies: readonly RemedyKind[];
}

export interface BarOfStudy {
  readonly number: string;
  /** Quarter notes from the start of the piece; what was struck before it is only held here. */
  readonly start: Beats;
  readonly study: Study;
}

/** A whole piece before two hands, as plain data that can travel to a worker. */
export interface SurveyData {
  readonly study: StudyData;
  readonly bars: readonly { readonly number: string; readonly start: Beats }[];
  readonly allows: Allowances;
}

/** A study of each bar: what is struck in it and what sounds on into it, before the same hands. */
export function barsOf({ study: data, bars }: SurveyData): readonly BarOfStudy[] {
  const study = studyOf(data);
  const within: Note[][] = bars.map(() => []);
  const starts = bars.map((bar) => toNumber(bar.start));
  for (const note of study.passage.notes) {
    const [from, to] = [toNumber(note.onset), toNumber(endOf(note))];
    let bar = starts.findLastIndex((start) => start <= from);
    for (; bar >= 0 && bar < bars.length && (starts[bar]! <= from || starts[bar]! < to); bar++) within[bar]!.push(note);
  }
  return bars.map(({ number, start }, i) => ({
    number,
    start,
    study: { ...study, passage: { ...study.passage, notes: within[i]! } },
  }));
}

/** Whether too much of a piece is out of reach for it to be for these hands as written. */
export function isBeyond({ counts }: Survey): boolean {
  return counts["out-of-reach"] > SURVEY.tooMuch * momentsIn(counts);
}

/** Moments of all grades together. */
export function momentsIn(counts: Survey["counts"]): number {
  return GRADES.reduce((sum, grade) => sum + counts[grade], 0);
}

/**
 * Surveys a piece bar by bar: what sounds on from the bar before is in the bar's study. A generator: it can be
 * stopped between bars.
 * @param bars each bar with a study of its notes
 */
export function* surveying(bars: readonly BarOfStudy[], allows: Allowances): Generator<number, Survey> {
  const surveyed: BarSurveyed[] = [];
  const places: PlaceSurveyed[] = [];
  for (const [at, bar] of bars.entries()) {
    const found = placesIn(bar, at + 1, allows);
    places.push(...found);
    surveyed.push({ index: at + 1, number: bar.number, right: worstOf(found, "right"), left: worstOf(found, "left") });
    yield at + 1;
  }
  const worst = [...places].sort((a, b) => b.strain - a.strain || a.bar - b.bar).slice(0, SURVEY.worst);
  return { bars: surveyed, worst, counts: counted(places), remedies: helped(places) };
}

function placesIn({ number, start, study }: BarOfStudy, bar: number, allows: Allowances): readonly PlaceSurveyed[] {
  const begun = predicamentsOf(study).filter((p) => compare(p.onset.at, start) >= 0);
  return begun.map((p) => {
    const note = p.down.find((d) => d.struck)!.note;
    const beyond = p.answer.kind === "out-of-reach";
    return {
      bar,
      number,
      beat: note.beat,
      side: p.side,
      keys: p.down.map((d) => d.key),
      note: note.id,
      ...demandOf(p),
      short: p.answer.kind === "out-of-reach" ? (p.answer.nearest?.short?.mm ?? null) : null,
      remedies: beyond ? [...new Set(remediesThatHold(study, note.id, allows).map((r) => r.kind))] : [],
    };
  });
}

function demandOf({ answer }: Predicament): HandDemand {
  if (answer.kind === "held") return { grade: gradeOfStrain(answer.placement.strain), strain: answer.placement.strain };
  return { grade: "out-of-reach", strain: SURVEY.beyond + (answer.nearest?.short?.mm ?? SURVEY.beyond) };
}

function worstOf(places: readonly PlaceSurveyed[], side: Side): HandDemand | null {
  return places
    .filter((p) => p.side === side)
    .map(({ grade, strain }): HandDemand => ({ grade, strain }))
    .reduce<HandDemand | null>((a, b) => (a && a.strain >= b.strain ? a : b), null);
}

function counted(places: readonly PlaceSurveyed[]): Record<Grade, number> {
  const counts = Object.fromEntries(GRADES.map((grade) => [grade, 0])) as Record<Grade, number>;
  for (const { grade } of places) counts[grade]++;
  return counts;
}

function helped(places: readonly PlaceSurveyed[]): Partial<Record<RemedyKind, number>> {
  const counts: Partial<Record<RemedyKind, number>> = {};
  for (const { remedies } of places) for (const kind of remedies) counts[kind] = (counts[kind] ?? 0) + 1;
  return counts;
}
