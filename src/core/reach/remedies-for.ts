import { REMEDY_AROUND } from "../physics";
import { bestFingerings, judge, tasksOf, type Study } from "../fingering/study/study";
import type { Fingering } from "../fingering/study/fingering";
import type { Side } from "../hand/finger";
import { compare, type Beats } from "../time/beats";
import { endOf, type Note, type NoteId } from "../passage/note";
import { playedNotes } from "../passage/passage";
import type { NoteRemedies } from "../passage/remedied";
import type { Held } from "../placement/placement";
import type { Allowances } from "./allowances";
import { remediesAt } from "./moment";
import { predicamentAt, soundingAt, type Predicament } from "./predicament";
import { REMEDIES } from "./remedies";
import { holdKeys } from "../placement/hold";
import type { Proposal } from "./remedy";

/** A remedy that was tried: the passage changed, its hand placed, its fingering solved and priced. */
export interface RemedyTried extends Proposal {
  /** The hand on what is left for it to hold at once; null where the keys are struck one by one. */
  readonly placement: Held | null;
  /** Mean strain of the notes about this moment once they are fingered anew, and of this moment's own. */
  readonly strain: number;
  readonly strainHere: number;
  readonly fingering: Fingering;
}

/**
 * Every remedy for what a hand cannot hold when a note is struck, least lost first and by strain where as much
 * is lost. One that still leaves a note of the moment without a finger is not listed. A remedy chosen earlier for
 * the same notes gives way.
 */
export function remediesFor(study: Study, note: NoteId, allows: Allowances): readonly RemedyTried[] {
  const tried = held(study, note, allows).flatMap((placed) => priced(placed) ?? []);
  return tried.sort((a, b) => a.loss - b.loss || a.strain - b.strain);
}

/** The same without fingering and price, for whoever only asks which kinds of remedy there are: least lost first. */
export function remediesThatHold(study: Study, note: NoteId, allows: Allowances): readonly Proposal[] {
  return held(study, note, allows)
    .map(({ proposal }) => proposal)
    .sort((a, b) => a.loss - b.loss);
}

/** The study with remedies laid over those it has; null lifts a note's. */
export function withRemedies(study: Study, notes: NoteRemedies): Study {
  return { ...study, passage: { ...study.passage, remedies: { ...study.passage.remedies, ...notes } } };
}

/** The study as it is without the remedies of the moment at which a note is written. */
function withoutRemediesAt(study: Study, id: NoteId): Study {
  const { passage } = study;
  const here = remediesAt(passage, id);
  const kept = Object.fromEntries(Object.entries(passage.remedies ?? {}).filter(([name]) => !(name in here)));
  return { ...study, passage: { ...passage, remedies: kept } };
}

/** A proposal with the music about its moment changed by it, and the hands placed on that. */
interface Placed {
  readonly proposal: Proposal;
  readonly predicament: Predicament;
  readonly part: Study;
  readonly placements: readonly HandPlaced[];
}

/** The proposals after which both hands hold what they have down at the moment of a note. */
function held(study: Study, note: NoteId, allows: Allowances): readonly Placed[] {
  const bare = withoutRemediesAt(study, note);
  const predicament = predicamentAt(bare, note);
  if (!predicament || predicament.down.length < 2) return [];
  const near = notesAround(predicament);
  return REMEDIES.flatMap((remedy) => remedy.propose(predicament, allows)).flatMap((proposal): Placed[] => {
    const changed = withRemedies(bare, proposal.notes);
    const notes = changed.passage.notes.filter((n) => near.has(n.id));
    const part: Study = { ...changed, passage: { ...changed.passage, notes } };
    const placements = proposal.kind === "roll" ? [] : placementsAt(part, predicament.onset.at);
    return placements === null ? [] : [{ proposal, predicament, part, placements }];
  });
}

/** Fingered anew and priced; null where a note of the moment is still left without a finger. */
function priced({ proposal, predicament: { side, down }, part, placements }: Placed): RemedyTried | null {
  const [fingering] = bestFingerings(part, {}, 1);
  const here = down.filter((d) => d.struck).map((d) => d.note.id);
  if (!fingering || here.some((id) => fingering[id] === null)) return null;
  const judged = judge(part, fingering);
  const strains = here.flatMap((id) => judged.notes[id]?.strain ?? []);
  return {
    ...proposal,
    fingering,
    strain: judged.strain,
    strainHere: strains.reduce((sum, s) => sum + s, 0) / Math.max(1, strains.length),
    placement: placements.find((p) => p.side === side)?.held ?? null,
  };
}

interface HandPlaced {
  readonly side: Side;
  readonly held: Held;
}

/** How each hand holds what it has down at a moment; null when one cannot. */
function placementsAt(study: Study, at: Beats): readonly HandPlaced[] | null {
  const placed: HandPlaced[] = [];
  const notes = new Map(playedNotes(study.passage).map((n) => [n.id, n]));
  for (const task of tasksOf(study)) {
    const keys = soundingAt(task.line, at, notes).map((d) => d.key);
    if (keys.length === 0) continue;
    const answer = holdKeys(keys, task.placements);
    if (answer.kind === "out-of-reach") return null;
    const held = task.placements.place(answer.holds);
    if (held.kind === "held") placed.push({ side: task.line.side, held });
  }
  return placed;
}

/** The notes of the onsets about a moment, in both hands, and all that sound through them. */
function notesAround({ task, onset, study }: Predicament): ReadonlySet<NoteId> {
  const { onsets } = task.line;
  const from = onsets[Math.max(0, onset.index - REMEDY_AROUND)]!.at;
  const to = onsets[Math.min(onsets.length - 1, onset.index + REMEDY_AROUND)]!.at;
  const isNear = (n: Note) => compare(n.onset, to) <= 0 && (compare(n.onset, from) >= 0 || compare(endOf(n), from) > 0);
  return new Set(study.passage.notes.filter(isNear).map((n) => n.id));
}
