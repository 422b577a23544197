import { TOLD } from "../../physics";
import type { NoteId } from "../../passage/note";
import { placeText } from "../../passage/place";
import { causeById } from "../cost/causes";
import { differences } from "../study/fingering";
import { judge, notesAsked, type Judged, type Study } from "../study/study";

/** How one fingering stands against another. */
export interface Comparison {
  /** Notes on which they differ, in order. */
  readonly differs: readonly NoteId[];
  /** Change of the mean strain by cause, what falls most first; causes that change by less than a hundredth are left out. */
  readonly causes: readonly { readonly cause: string; readonly label: string; readonly by: number }[];
  /** Change of the mean strain in all. */
  readonly by: number;
  /** Where it differs, what it gains and what it costs. */
  readonly sentence: string;
}

/**
 * How a fingering stands against another that it is measured by, both judged on one study: `by` is a difference of mean strains,
 * negative where the first strains less.
 */
export function compareFingerings(study: Study, given: Judged, against: Judged): Comparison {
  const differs = differences(notesAsked(study), given.fingering, against.fingering);
  const [mine, theirs] = [byCause(given), byCause(against)];
  const causes = [...new Set([...mine.keys(), ...theirs.keys()])]
    .map((cause) => ({ cause, label: causeById(cause).label, by: (mine.get(cause) ?? 0) - (theirs.get(cause) ?? 0) }))
    .filter(({ by }) => Math.abs(by) >= TOLD.leastChange)
    .sort((a, b) => a.by - b.by);
  const by = given.strain - against.strain;
  return { differs, causes, by, sentence: sentenceOf(study, differs, causes) };
}

/** The same of two fingerings that are not judged yet. */
export function compare(study: Study, given: Judged["fingering"], against: Judged["fingering"]): Comparison {
  return compareFingerings(study, judge(study, given), judge(study, against));
}

/** Share of the mean strain by cause: strain points an onset, of the causes that were found at all. */
export function byCause({ notes, onsets }: Judged): ReadonlyMap<string, number> {
  const sums = new Map<string, number>();
  const all = Object.values(notes);
  for (const { causes } of all)
    for (const { cause, strain } of causes) sums.set(cause, (sums.get(cause) ?? 0) + strain / onsets);
  return sums;
}

/**
 * What each note strains more in one fingering than in another, in strain points, negative where it strains less,
 * note by note of the first.
 */
export function byNoteDifference(
  given: Judged,
  against: Judged,
): readonly { readonly note: NoteId; readonly by: number }[] {
  return Object.entries(given.notes).map(([note, { strain }]) => ({
    note: note as NoteId,
    by: strain - (against.notes[note as NoteId]?.strain ?? 0),
  }));
}

function sentenceOf(study: Study, differs: readonly NoteId[], causes: Comparison["causes"]): string {
  if (differs.length === 0) return "The same fingers throughout.";
  const first = study.passage.notes.find(({ id }) => id === differs[0])!;
  const many = differs.length === 1 ? "One note differs" : `${differs.length} notes differ`;
  const where = `${many}, from ${placeText(first.bar, first.beat)}`;
  const gains = causes.filter(({ by }) => by < 0).slice(0, TOLD.causesCompared);
  const costs = causes
    .filter(({ by }) => by > 0)
    .slice(-TOLD.causesCompared)
    .reverse();
  const said = [
    gains.length > 0 ? `less for ${gains.map(amount).join(" and ")}` : "nothing is gained",
    costs.length > 0 ? `more for ${costs.map(amount).join(" and ")}` : "nothing is lost",
  ];
  return `${where}: ${said.join(", ")}.`;
}

function amount({ label, by }: Comparison["causes"][number]): string {
  return `${label} (${Math.abs(by).toFixed(1)})`;
}
