import { drain } from "../../drain";
import type { Hand } from "../../hand/hand";
import { FINGERS, SIDES, type Side } from "../../hand/finger";
import { USUAL_FIGURES, type OwnFigures } from "../../hand/own";
import type { Instrument } from "../../keyboard/instrument";
import { lineOf } from "../../passage/line";
import type { NoteId } from "../../passage/note";
import { placementsOf, type Placements } from "../../placement/placements";
import { handOf, handsAsked, inOrder, playedNotes, type Manner, type Passage } from "../../passage/passage";
import { causeById } from "../cost/causes";
import { price } from "../cost/price";
import { WEIGHTS, type Weights } from "../cost/weights";
import type { Conditions } from "../search/conditions";
import type { Fingering } from "./fingering";
import { searchingBonded } from "../search/bonded";
import { searchingSettled } from "../search/settled";
import { settlingOf, tiesOf } from "../search/ties";
import { digitsOf, fingeringOf, termsOf } from "../search/terms";
import { latticeOf, type Lattice } from "../search/lattice";
import type { Progress } from "../search/search";
import type { Task } from "./task";

/** A passage before the player's hands: everything the engine needs to know. */
export interface Study {
  readonly passage: Passage;
  readonly hands: Readonly<Record<Side, Hand>>;
  readonly instrument: Instrument;
  readonly manner: Manner;
  readonly weights?: Weights;
  /** Times as much as usual that causes weigh with this player, by their ids; see OwnFigures. */
  readonly own?: OwnFigures["causes"];
  /** Kept by whoever asks about the same hands again; made anew where not given. */
  readonly placements?: Readonly<Record<Side, Placements>>;
}

/** A fingering of both hands with its judgement. */
export interface Judged {
  readonly fingering: Fingering;
  /** Mean strain over the onsets of both hands, 0 to 100 and beyond: a chord is one moment, however many notes it has. */
  readonly strain: number;
  /** How many onsets that is. */
  readonly onsets: number;
  /** The most strained note; null in an empty passage. */
  readonly peak: { readonly note: NoteId; readonly strain: number } | null;
  readonly notes: Readonly<Record<NoteId, NoteJudged>>;
}

interface NoteJudged {
  readonly strain: number;
  /** Largest first. */
  readonly causes: readonly CauseJudged[];
}

/** A cause as the player reads it. */
export interface CauseJudged {
  readonly cause: string;
  readonly label: string;
  readonly amount: number;
  readonly unit: string;
  readonly strain: number;
  readonly words: string;
  /** What would be the better for its being gone. */
  readonly spared: string;
}

/** The tasks of a study, one a hand that has something to play. */
export function tasksOf(study: Study): readonly Task[] {
  return handsPlaying(study).map((side) => taskOf(study, side));
}

/** The tasks of the right hand and of the left, whether they have anything to play or not. */
export function bothTasks(study: Study): readonly Task[] {
  return SIDES.map((side) => taskOf(study, side));
}

function taskOf(study: Study, side: Side): Task {
  const { passage, hands, instrument, manner, weights = WEIGHTS, own = USUAL_FIGURES.causes } = study;
  return {
    line: lineOf(passage, side, manner),
    hand: hands[side],
    instrument,
    placements: placementsIn(study, side),
    manner,
    weights,
    own,
  };
}

/** The hands asked for that have a finger to play with: the music of a resting hand is left alone. */
export function handsPlaying({ passage, hands }: Study): readonly Side[] {
  return handsAsked(passage).filter((side) => hands[side].resting.length < FINGERS.length);
}

function placementsIn({ hands, instrument, placements }: Study, side: Side): Placements {
  const kept = placements?.[side];
  return kept?.hand === hands[side] && kept.instrument === instrument ? kept : placementsOf(hands[side], instrument);
}

/** The notes of a study that its hands are to play, in order. */
export function notesAsked(study: Study): readonly NoteId[] {
  const playing = handsPlaying(study);
  return inOrder(playedNotes(study.passage)).flatMap((note) =>
    playing.includes(handOf(note, study.passage)) ? [note.id] : [],
  );
}

/** The lattices of a study, one a hand: kept by the caller who asks about the same study again. */
export function latticesOf(study: Study): readonly Lattice[] {
  return tasksOf(study).map((task) => latticeOf(task));
}

/** A fingering of both hands, with what it comes to and whether nothing better keeps to the conditions. */
export interface Solved {
  readonly fingering: Fingering;
  readonly total: number;
  readonly exact: boolean;
}

/**
 * The k best fingerings that keep to some conditions, best first, hands searched apart and put together exactly;
 * with bonds or memories see search/bonded; totals count what a memory that gave way was worth. A generator, so that the caller can stop between onsets.
 */
export function* solving(
  lattices: readonly Lattice[],
  conditions: Conditions,
  k: number,
): Generator<Progress, readonly Solved[]> {
  const terms = lattices.map(({ task }) => termsOf(task.line, conditions));
  const ties = tiesOf(conditions, lattices);
  const { found, exact } = yield* ties.length > 0
    ? searchingBonded(lattices, terms, ties, k)
    : searchingSettled(lattices, terms, settlingOf(conditions, lattices), k);
  return found.map(({ total, item }) => ({
    fingering: Object.assign({}, ...lattices.map(({ task }, i) => fingeringOf(task.line, item[i]!))) as Fingering,
    total,
    exact,
  }));
}

/** The fingerings alone. */
export function* fingering(
  lattices: readonly Lattice[],
  conditions: Conditions,
  k: number,
): Generator<Progress, readonly Fingering[]> {
  return (yield* solving(lattices, conditions, k)).map((solved) => solved.fingering);
}

/** The same, without stopping. */
export function bestFingerings(study: Study, conditions: Conditions, k: number): readonly Fingering[] {
  return drain(fingering(latticesOf(study), conditions, k));
}

/** Prices a fingering, taken apart note by note; a note it does not name counts as left out. */
export function judge(study: Study, given: Fingering): Judged {
  const notes: Record<NoteId, { strain: number; causes: CauseJudged[] }> = {};
  let total = 0;
  let onsets = 0;
  for (const task of tasksOf(study)) {
    const priced = price(task, digitsOf(task.line, given));
    for (const stroke of task.line.strokes) {
      for (const id of stroke.notes) notes[id] = { strain: priced.byStroke[stroke.index]!, causes: [] };
    }
    for (const found of priced.findings) {
      const { id, label, unit, say, spared } = causeById(found.cause);
      const { amount, strain } = found;
      const judged = { cause: id, label, amount, unit, strain, words: say(found), spared: spared(found) };
      for (const note of found.stroke.notes) notes[note]!.causes.push(judged);
    }
    total += priced.total;
    onsets += task.line.onsets.length;
  }
  for (const note of Object.values(notes)) note.causes.sort((a, b) => b.strain - a.strain);
  return { fingering: given, strain: onsets === 0 ? 0 : total / onsets, onsets, peak: peakOf(study, notes), notes };
}

function peakOf(study: Study, notes: Readonly<Record<NoteId, NoteJudged>>): Judged["peak"] {
  let peak: Judged["peak"] = null;
  for (const note of notesAsked(study)) {
    const strain = notes[note]?.strain ?? 0;
    if (peak === null || strain > peak.strain) peak = { note, strain };
  }
  return peak;
}
