import type { Side } from "../../hand/finger";
import { lineOf, type Line, type Onset } from "../../passage/line";
import type { NoteId } from "../../passage/note";
import { handOf, type Manner, type Passage } from "../../passage/passage";
import type { SharingWishes } from "./wishes";

/** One way to give the strokes of a moment to the hands: those of the left as bits by their place, lowest key first. */
export type Split = number;

/** A moment at which something is struck, by whichever hand. */
export interface SharedMoment {
  readonly onset: Onset;
  /** Ways to share it out, as written first. */
  readonly splits: readonly Split[];
  /** The way it is written. */
  readonly written: Split;
}

/** The passage as one line that both hands share, and how each of its moments may be shared out. */
export function momentsOf(passage: Passage, manner: Manner, wishes: SharingWishes): readonly SharedMoment[] {
  const line = sharedLine(passage, manner);
  const hands = new Map(passage.notes.map((note) => [note.id, handOf(note, passage)]));
  return line.onsets.map((onset) => momentOf(onset, hands, passage, wishes));
}

/** Every note in one line: the hands are not told apart yet. */
function sharedLine(passage: Passage, manner: Manner): Line {
  const taken = Object.fromEntries(passage.notes.map(({ id }) => [id, "right"])) as Record<NoteId, Side>;
  const remedies = Object.fromEntries(
    Object.entries(passage.remedies ?? {}).filter(([, remedy]) => remedy.kind !== "other-hand"),
  );
  return lineOf({ ...passage, taken, remedies }, "right", manner);
}

function momentOf(
  onset: Onset,
  hands: ReadonlyMap<NoteId, Side>,
  passage: Passage,
  { allowed, marked = [], crossing = false }: SharingWishes,
): SharedMoment {
  const { struck } = onset;
  const isFree = (place: number): boolean => {
    const [id] = struck[place]!.notes;
    if (passage.remedies?.[id!]?.kind === "other-hand" || passage.taken?.[id!]) return false;
    return allowed === "all" || (allowed === "marked" && marked.includes(id!));
  };
  let written = 0;
  struck.forEach(({ notes }, place) => {
    if (hands.get(notes[0]!) === "left") written |= 1 << place;
  });
  const splits = [written];
  for (const split of splitsOf(struck.length, crossing)) {
    if (split === written) continue;
    if (struck.every((_, place) => bit(split, place) === bit(written, place) || isFree(place))) splits.push(split);
  }
  return { onset, splits, written };
}

/** Strokes of one moment past which hands are not crossed: two hands have ten fingers. */
const MOST_CROSSED = 10;
/** Strokes of one moment past which nothing is shared out: bits of a number tell them apart. */
const MOST_SHARED = 24;

/** Every split of so many strokes: the lower ones to the left, and where hands may cross every other too. */
function splitsOf(count: number, crossing: boolean): readonly Split[] {
  if (count > MOST_SHARED) return [];
  if (crossing && count <= MOST_CROSSED) return Array.from({ length: 1 << count }, (_, split) => split);
  return Array.from({ length: count + 1 }, (_, lower) => (1 << lower) - 1);
}

/** Whether the key at a place (from 0) of a split moment is the right hand's. */
export function bit(split: Split, place: number): boolean {
  return (split & (1 << place)) !== 0;
}
