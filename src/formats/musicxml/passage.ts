import type { PassageBar } from "@/core/passage/metre";
import { inOrder, type Hands, type Passage } from "@/core/passage/passage";
import type { Note, NoteId } from "@/core/passage/note";
import { add, compare, subtract, type Beats } from "@/core/time/beats";
import { beginningOf } from "./reading/metre";
import { writtenRolls } from "./reading/rolls";
import type { Bar, NoteHead, Part } from "./score";

/**
 * A passage from bars of a part, first and last by Bar.index. Ties are joined inside the passage: a note
 * tied over from before it begins with the passage, for its finger must be known there too.
 * @throws RangeError when the bars are not in the part
 */
export function passageFrom(part: Part, fromBar: number, toBar: number, hands: Hands): Passage {
  if (!(fromBar >= 1 && toBar >= fromBar && toBar <= part.bars.length)) {
    throw new RangeError(`Bars ${fromBar} to ${toBar} are not in this part, which has ${part.bars.length}.`);
  }
  const notes: Growing[] = [];
  const waiting = new Map<string, Growing>();
  const rolls = new Map<NoteId, NonNullable<NoteHead["roll"]>>();
  const bars: PassageBar[] = [];
  for (let i = fromBar - 1; i < toBar; i++) {
    const bar = part.bars[i]!;
    bars.push({ number: bar.number, start: bar.start, from: beginningOf(part.bars, i), metre: bar.metre });
    for (const head of byOnset(bar.heads)) {
      const open = head.tieStop ? take(waiting, head) : null;
      const note = open ? prolonged(open, head) : begun(head, bar);
      if (!open) notes.push(note);
      if (!open && head.roll) rolls.set(head.id, head.roll);
      if (head.tieStart) waiting.set(tieKey(head.pitch, head.staff, end(head)), note);
    }
  }
  return { notes: inOrder(writtenRolls(notes, rolls)), hands, staves: part.staves, bars };
}

type Growing = { -readonly [Key in keyof Note]: Note[Key] };

function begun(head: NoteHead, bar: Bar): Growing {
  const { id, pitch, step, staff, voice, onset, duration, grace, printed, loudness, accent, staccato, hand } = head;
  const { slurBegins, ornamented } = head;
  return {
    id,
    tied: [],
    pitch,
    step,
    staff,
    voice,
    onset,
    duration,
    grace,
    bar: bar.number,
    beat: subtract(onset, bar.start),
    printed,
    ...(loudness === undefined ? {} : { loudness }),
    ...(accent ? { accent } : {}),
    ...(staccato ? { staccato } : {}),
    ...(slurBegins ? { slurBegins } : {}),
    ...(ornamented ? { ornamented } : {}),
    ...(hand ? { hand } : {}),
  };
}

function prolonged(note: Growing, head: NoteHead): Growing {
  note.duration = subtract(end(head), note.onset);
  note.tied = [...note.tied, head.id as NoteId];
  return note;
}

/** The note that a tie comes from: the same pitch ending where this one begins, in this staff or another. */
function take(waiting: Map<string, Growing>, head: NoteHead): Growing | null {
  for (const staff of [head.staff, 3 - head.staff]) {
    const key = tieKey(head.pitch, staff, head.onset);
    const note = waiting.get(key);
    if (note) {
      waiting.delete(key);
      return note;
    }
  }
  return null;
}

function tieKey(pitch: number, staff: number, at: Beats): string {
  return `${pitch} ${staff} ${at}`;
}

function end(head: NoteHead): Beats {
  return add(head.onset, head.duration);
}

function byOnset(heads: readonly NoteHead[]): readonly NoteHead[] {
  return [...heads].sort((a, b) => compare(a.onset, b.onset));
}
