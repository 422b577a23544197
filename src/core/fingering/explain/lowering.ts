import { TOLD } from "../../physics";
import { FINGERS, type Finger } from "../../hand/finger";
import type { NoteId } from "../../passage/note";
import type { Conditions } from "../search/conditions";
import { differences, type Fingering } from "../study/fingering";
import type { Lattice } from "../search/lattice";
import type { Progress } from "../search/search";
import { fingering, judge, notesAsked, type CauseJudged, type Judged, type Study } from "../study/study";

/** A finger put elsewhere by which the strain at a place falls, the rest worked out around it. */
export interface Lowering {
  /** The note that takes another finger: the one asked about, or one of the onset before it. */
  readonly note: NoteId;
  readonly finger: Finger;
  /** Change of the strain of the onset asked about; negative. */
  readonly here: number;
  /** Change of the strain of all other notes together. */
  readonly elsewhere: number;
  /** What is the better for it at that onset: "the thumb stays on white". */
  readonly gain: string;
  /** How many notes take another finger in all. */
  readonly changes: number;
}

/**
 * What would lower the strain at a note: every other finger on it, and on the notes of its hand's onset before, is
 * tried as a pin; those by which the onset's strain falls, at no more than twice the cost elsewhere, are told, the ones
 * first that serve the whole passage best.
 * Pins of the player's on other notes stand. A generator, so that it can be stopped.
 * @param lattices of the study as the option's leaning searches it
 * @param judged the fingering as it stands, judged on `study`
 */
export function* loweringAt(
  study: Study,
  lattices: readonly Lattice[],
  conditions: Conditions,
  judged: Judged,
  note: NoteId,
): Generator<Progress, readonly Lowering[]> {
  const asked = notesAsked(study);
  const { here, before } = aboutIt(lattices, note);
  const seen = new Set<string>();
  const found: (Lowering & { readonly total: number })[] = [];
  const tried = [note, ...before.filter((id) => !(id in (conditions.pins ?? {})))];
  for (const other of tried) {
    for (const finger of FINGERS) {
      if (judged.fingering[other] === finger || conditions.ruledOut?.[other]?.includes(finger)) continue;
      const pins = { ...conditions.pins, [other]: finger };
      const [best] = yield* fingering(lattices, { ...conditions, pins }, 1);
      if (best?.[other] !== finger || seen.has(digitsText(asked, best))) continue;
      seen.add(digitsText(asked, best));
      const after = judge(study, best);
      const [gained, total] = [sumAt(here, after) - sumAt(here, judged), sumAt(asked, after) - sumAt(asked, judged)];
      if (gained > -TOLD.leastLowered || total - gained > -gained * TOLD.dearestLowered) continue;
      found.push({
        note: other,
        finger,
        here: gained,
        elsewhere: total - gained,
        gain: gainOf(here, judged, after),
        changes: differences(asked, best, judged.fingering).length,
        total,
      });
    }
  }
  return found
    .sort((a, b) => a.total - b.total)
    .slice(0, TOLD.waysToLower)
    .map(({ total: _, ...told }) => told);
}

/** The notes of a note's onset in its hand, and those of the onset before. */
function aboutIt(lattices: readonly Lattice[], note: NoteId): { here: readonly NoteId[]; before: readonly NoteId[] } {
  for (const { task } of lattices) {
    const { onsets } = task.line;
    const at = onsets.findIndex((onset) => onset.struck.some((s) => s.notes.includes(note)));
    if (at < 0) continue;
    const [here, before] = [onsets[at]!, onsets[at - 1]];
    return {
      here: here.struck.flatMap((s) => s.notes),
      before: before?.struck.map((s) => s.notes[0]!) ?? [],
    };
  }
  return { here: [], before: [] };
}

function sumAt(notes: readonly NoteId[], { notes: judged }: Judged): number {
  return notes.reduce((sum, id) => sum + (judged[id]?.strain ?? 0), 0);
}

function digitsText(notes: readonly NoteId[], digits: Fingering): string {
  return notes.map((id) => digits[id] ?? "-").join("");
}

/** The cause that falls most: what is the better for its being gone, or that there is less of it. */
function gainOf(here: readonly NoteId[], before: Judged, after: Judged): string {
  const [was, is] = [causesAt(here, before), causesAt(here, after)];
  const fallen = [...was].map(([cause, found]) => ({ found, by: found.strain - (is.get(cause)?.strain ?? 0), cause }));
  const [most] = fallen.sort((a, b) => b.by - a.by);
  if (!most) return "it strains less";
  return is.has(most.cause) ? `less of “${most.found.label}”` : most.found.spared;
}

function causesAt(notes: readonly NoteId[], { notes: judged }: Judged): ReadonlyMap<string, CauseJudged> {
  const sums = new Map<string, CauseJudged>();
  for (const found of notes.flatMap((id) => judged[id]?.causes ?? [])) {
    const known = sums.get(found.cause);
    sums.set(found.cause, known ? { ...known, strain: known.strain + found.strain } : found);
  }
  return sums;
}
