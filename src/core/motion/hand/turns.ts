import type { Hand } from "../../hand/hand";
import type { Frame } from "../../fingering/frames/frame";
import type { NoteId } from "../../passage/note";
import { PLAN } from "../../physics";

/** One turn of the forearm that carries several notes, or one there and back about a note at which the line turns. */
export interface Turn {
  readonly kind: "single" | "double";
  readonly towards: "thumb" | "little finger";
  /** In order: the notes it carries; for a double turn the one at which the line turns, between its neighbours. */
  readonly notes: readonly NoteId[];
}

/** Two demands for turning that fall on one note: the finger asks for one side, the way along the keys for the other. */
export interface TurnClash {
  readonly note: NoteId;
  readonly finger: Turn["towards"];
  /** Degrees from the one to the other, and the ms there are for it. */
  readonly degrees: number;
  readonly ms: number;
}

/** The turns of a hand over single notes, in order. Rocking is named apart (rockingsOf). */
export function turnsOf(frames: readonly Frame[]): readonly Turn[] {
  const found: Turn[] = [];
  let from = 0;
  for (let i = 1; i <= frames.length; i++) {
    const way = i < frames.length ? stepOf(frames[i - 1]!, frames[i]!) : 0;
    const before = i - from >= 2 ? stepOf(frames[i - 2]!, frames[i - 1]!) : way;
    if (i < frames.length && way !== 0 && way === before) continue;
    if (i - from >= PLAN.turnNotes)
      found.push({ kind: "single", towards: towards(before), notes: frames.slice(from, i).map(noteOf) });
    const turnsBack = way !== 0 && before === -way && i - from >= PLAN.turnNotes && runsOn(frames, i, way);
    if (turnsBack)
      found.push({ kind: "double", towards: towards(before), notes: frames.slice(i - 2, i + 1).map(noteOf) });
    from = way !== 0 ? i - 1 : i;
  }
  return found;
}

/** Where finger and way ask for opposite turns with too little time for both, as when the thumb passes under at speed. */
export function clashesOf({ rotation: { ease, fails } }: Hand, frames: readonly Frame[]): readonly TurnClash[] {
  // Within so many ms a forearm does not serve two demands: half a cycle, half way between the rate that is easy and the one that fails.
  const least = 1000 / (ease + fails);
  return frames.slice(1).flatMap((now, i): TurnClash[] => {
    const before = frames[i]!;
    const step = stepOf(before, now);
    if (step === 0 || now.onset.gap > least) return [];
    const mm = now.struck[0]!.x - before.struck[0]!.x;
    if (Math.sign(mm) === step || mm === 0) return [];
    return [{ note: noteOf(now), finger: towards(step), degrees: 2 * turnBetween(before, now), ms: now.onset.gap }];
  });
}

/** Degrees from where one finger wants the forearm to where the next does: the way along the keys wants as much the other way. */
function turnBetween(before: Frame, now: Frame): number {
  const [from, to] = [before, now].map((f) => PLAN.rollOfFinger[f.struck[0]!.finger - 1]!);
  return Math.abs(to! - from!);
}

/** 1 where the next finger lies towards the little finger, -1 towards the thumb, 0 for chords and the same finger. */
function stepOf(before: Frame, now: Frame): number {
  if (before.struck.length !== 1 || now.struck.length !== 1) return 0;
  return Math.sign(now.struck[0]!.finger - before.struck[0]!.finger);
}

/** Whether the line goes on the new way for another note: otherwise it rocks. */
function runsOn(frames: readonly Frame[], i: number, way: number): boolean {
  return i + 1 < frames.length && stepOf(frames[i]!, frames[i + 1]!) === way;
}

function towards(step: number): Turn["towards"] {
  return step > 0 ? "little finger" : "thumb";
}

function noteOf(frame: Frame): NoteId {
  return frame.struck[0]!.stroke.notes[0]!;
}
