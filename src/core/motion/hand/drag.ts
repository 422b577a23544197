import type { Task } from "../../fingering/study/task";
import type { Finger } from "../../hand/finger";
import type { NoteId } from "../../passage/note";
import { PLAN } from "../../physics";
import { reachingAll } from "../path/place";
import { mirrored } from "../../placement/standing";
import type { PlanFrame } from "../path/path";

/** A note held on that draws the hand from where the notes struck meanwhile want it. */
export interface Drag {
  /** The note struck, and the one held. */
  readonly note: NoteId;
  readonly held: NoteId;
  readonly finger: Finger;
  readonly mm: number;
  /** Whether the pedal would carry it on. */
  readonly mayGo: boolean;
}

/** The held note that draws the hand most at each onset, in mm beyond where those struck lie relaxed on theirs, where that is PLAN.dragFrom or more. */
export function dragsOf({ hand, manner }: Task, frames: readonly PlanFrame[]): readonly Drag[] {
  return frames.flatMap(({ frame: { struck, held }, notes, x, shape, tilt }): Drag[] => {
    if (held.length === 0 || struck.length === 0) return [];
    const wanted = struck.reduce((sum, p) => sum + p.x - hand.restOffsets[p.finger - 1]!, 0) / struck.length;
    const fingers = struck.map((p) => p.finger);
    const keys = struck.map((p) => p.x);
    const within = reachingAll(hand, { shape, tilt }, fingers, keys, { ease: wanted, strain: 0 });
    const middle = mirrored(hand, x);
    const mm = Math.max(0, within.least - middle, middle - within.most);
    if (mm < PLAN.dragFrom) return [];
    const pull = (finger: Finger, at: number): number => Math.abs(at - hand.restOffsets[finger - 1]! - wanted);
    const most = held.reduce((a, b) => (pull(b.finger, b.x) > pull(a.finger, a.x) ? b : a));
    return [{ note: notes[0]!, held: most.stroke.notes[0]!, finger: most.finger, mm, mayGo: manner.pedal }];
  });
}
