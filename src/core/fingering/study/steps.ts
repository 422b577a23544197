import type { Finger, Side } from "../../hand/finger";
import type { Point } from "../../hand/pose";
import { compare, type Beats } from "../../time/beats";
import { endOf, type NoteId } from "../../passage/note";
import { playedNotes } from "../../passage/passage";
import { framesOf } from "../cost/price";
import type { Fingering } from "./fingering";
import type { Held } from "../../placement/placement";
import type { Press } from "../frames/frame";
import { digitsOf } from "../search/terms";
import { notesAsked, tasksOf, type Study } from "./study";
import type { Task } from "./task";

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
  for (const note of playedNotes(study.passage)) {
    if (!asked.has(note.id)) continue;
    const last = steps.at(-1);
    if (last && last.at === note.onset && last.grace === note.grace) last.notes.push(note.id);
    else steps.push({ at: note.onset, grace: note.grace, bar: note.bar, beat: note.beat, notes: [note.id] });
  }
  return steps;
}

/** How a hand lies at a step, in keyboard coordinates. */
export interface Lying {
  /** Where its fingers are on keys. */
  readonly contacts: ReadonlyMap<Finger, Point>;
  /** The placement they are in; null where nothing is played or the keys cannot be held together. */
  readonly placement: Held | null;
}

const NOTHING: Lying = { contacts: new Map(), placement: null };

/** At each step and for each hand, the fingers that strike or hold then, in the placement that was priced. */
export function lyingAt(study: Study, fingering: Fingering): readonly Readonly<Record<Side, Lying>>[] {
  const steps = stepsOf(study);
  const lying = steps.map((): Record<Side, Lying> => ({ right: NOTHING, left: NOTHING }));
  for (const task of tasksOf(study)) {
    const { side } = task.line;
    const frames = framesOf(task, digitsOf(task.line, fingering));
    let next = 0;
    steps.forEach((step, place) => {
      const isNew = frames[next] && frames[next]!.onset.at === step.at && frames[next]!.onset.grace === step.grace;
      if (isNew) next++;
      const frame = frames[next - 1];
      if (!frame) return;
      const down = [...frame.held, ...frame.struck].filter(
        (press) => isNew || sounds(study, press.stroke.notes[0]!, step.at),
      );
      lying[place]![side] = lyingOf(down, task);
    });
  }
  return lying;
}

/** The placement of fingers on keys; at their usual contacts, each by itself, where there is none. */
function lyingOf(down: readonly Press[], { hand, placements }: Task): Lying {
  if (down.length === 0) return NOTHING;
  const placement = placements.place(down);
  const mirror = hand.side === "right" ? 1 : -1;
  if (placement.kind === "held") {
    return { contacts: new Map(placement.tips.map(({ finger, at }) => [finger, at])), placement };
  }
  return { contacts: new Map(down.map(({ finger, x, y }) => [finger, { x: mirror * x, y }])), placement: null };
}

function sounds({ passage }: Study, id: NoteId, at: Beats): boolean {
  const note = passage.notes.find((n) => n.id === id);
  return note !== undefined && compare(endOf(note), at) > 0;
}
