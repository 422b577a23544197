import type { Side } from "../../hand/finger";
import { lineOf, type Line, type Onset } from "../../passage/line";
import type { NoteId } from "../../passage/note";
import { handOf, type Manner, type Passage } from "../../passage/passage";
import type { Stroke } from "../../passage/strokes";
import type { SharingWishes } from "./wishes";

/** Strokes of the left hand among those of a moment, as bits by their place, lowest key first. */
type Lefts = number;

/** One way to give the strokes of a moment to the hands. */
export interface Split {
  readonly bits: Lefts;
  readonly toLeft: readonly Stroke[];
  readonly toRight: readonly Stroke[];
  /** Strokes that the other hand plays than is written. */
  readonly changed: number;
}

/** A moment at which something is struck, by whichever hand. */
export interface SharedMoment {
  readonly onset: Onset;
  /** Ways to share it out, as written first. */
  readonly splits: readonly Split[];
  /** The way it is written. */
  readonly written: Lefts;
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
  const others = splitsOf(struck.length, crossing).filter(
    (bits) => bits !== written && struck.every((_, place) => bit(bits, place) === bit(written, place) || isFree(place)),
  );
  return { onset, splits: [written, ...others].map((bits) => splitBy(bits, struck, written)), written };
}

function splitBy(bits: Lefts, struck: readonly Stroke[], written: Lefts): Split {
  return {
    bits,
    toLeft: struck.filter((_, place) => bit(bits, place)),
    toRight: struck.filter((_, place) => !bit(bits, place)),
    changed: struck.filter((_, place) => bit(bits ^ written, place)).length,
  };
}

/** Strokes of one moment past which hands are not crossed: two hands have ten fingers. */
const MOST_CROSSED = 10;
/** Strokes of one moment past which nothing is shared out: bits of a number tell them apart. */
const MOST_SHARED = 24;

/** Every split of so many strokes: the lower ones to the left, and where hands may cross every other too. */
function splitsOf(count: number, crossing: boolean): readonly Lefts[] {
  if (count > MOST_SHARED) return [];
  if (crossing && count <= MOST_CROSSED) return Array.from({ length: 1 << count }, (_, bits) => bits);
  return Array.from({ length: count + 1 }, (_, lower) => (1 << lower) - 1);
}

/** Whether the key at a place (from 0) of a moment is the left hand's. */
export function bit(lefts: Lefts, place: number): boolean {
  return (lefts & (1 << place)) !== 0;
}
