import type { Finger, Side } from "../hand/finger";
import type { Point } from "../hand/pose";
import { compare, type Beats } from "../time/beats";
import { endOf, type NoteId } from "../passage/note";
import { inOrder } from "../passage/passage";
import { framesOf } from "./cost/price";
import type { Fingering } from "./fingering";
import { digitsOf } from "./search/pins";
import { notesAsked, tasksOf, type Study } from "./study";

/** One moment of a passage that can be stepped to: the notes that begin then, in both hands. */
export interface Step {
  readonly at: Beats;
  readonly grace: number;
  readonly bar: string;
  readonly beat: Beats;
  /** Lowest first. */
  readonly notes: readonly NoteId[];
}

/** The onsets of the hands asked for, in order. */
export function stepsOf(study: Study): readonly Step[] {
  const asked = new Set(notesAsked(study));
  const steps: { at: Beats; grace: number; bar: string; beat: Beats; notes: NoteId[] }[] = [];
  for (const note of inOrder(study.passage.notes)) {
    if (!asked.has(note.id)) continue;
    const last = steps.at(-1);
    if (last && last.at === note.onset && last.grace === note.grace) last.notes.push(note.id);
    else steps.push({ at: note.onset, grace: note.grace, bar: note.bar, beat: note.beat, notes: [note.id] });
  }
  return steps;
}

/** Where a hand's fingers are on keys, in keyboard coordinates. */
export type Contacts = ReadonlyMap<Finger, Point>;

/** At each step and for each hand, the fingers that strike or hold then, at the contacts that were priced. */
export function contactsAt(study: Study, fingering: Fingering): readonly Readonly<Record<Side, Contacts>>[] {
  const steps = stepsOf(study);
  const contacts = steps.map(() => ({ right: new Map<Finger, Point>(), left: new Map<Finger, Point>() }));
  for (const task of tasksOf(study)) {
    const { side } = task.line;
    const frames = framesOf(task, digitsOf(task.line, fingering));
    const mirror = side === "right" ? 1 : -1;
    let next = 0;
    steps.forEach((step, place) => {
      const isNew = frames[next] && frames[next]!.onset.at === step.at && frames[next]!.onset.grace === step.grace;
      if (isNew) next++;
      const frame = frames[next - 1];
      if (!frame) return;
      for (const press of [...frame.held, ...frame.struck]) {
        if (isNew || sounds(study, press.stroke.notes[0]!, step.at))
          contacts[place]![side].set(press.finger, { x: mirror * press.x, y: press.y });
      }
    });
  }
  return contacts;
}

function sounds({ passage }: Study, id: NoteId, at: Beats): boolean {
  const note = passage.notes.find((n) => n.id === id);
  return note !== undefined && compare(endOf(note), at) > 0;
}
