import { carryTime } from "../../fingering/cost/fitts";
import type { NoteId } from "../../passage/note";
import { PLAN } from "../../physics";
import type { Path } from "./path";
import { valueAt } from "./smooth";

/** How far a hand goes in or out on its way to an onset. */
export interface InOut {
  readonly note: NoteId;
  /** mm, positive towards the fallboard. */
  readonly mm: number;
  /** ms before the onset at which the planned way has begun: a tenth of it is done. */
  readonly begins: number;
  /** ms that it asks for. */
  readonly needed: number;
  /** Whether it is far and the music leaves too little time to begin it. */
  readonly isJerk: boolean;
}

/** In and out for each onset after the first at which something is struck. */
export function inOutsOf({ frames, ways }: Path): readonly InOut[] {
  return frames.slice(1).flatMap((frame, i): InOut[] => {
    const before = frames[i]!;
    if (frame.notes.length === 0) return [];
    const mm = frame.depth - before.depth;
    const needed = carryTime(Math.abs(mm), PLAN.landing);
    const begins = frame.ms - beginning(ways.depth, before, frame);
    return [
      {
        note: frame.notes[0]!,
        mm,
        begins,
        needed,
        isJerk: Math.abs(mm) >= PLAN.jerkFrom && begins < PLAN.jerkShare * needed,
      },
    ];
  });
}

const TRIES = 24;

/** ms at which a tenth of the way from one onset to the next is done for good. */
function beginning(way: Path["ways"]["depth"], from: DepthWanted, to: DepthWanted): number {
  const tenth = Math.abs(to.depth - from.depth) / 10;
  for (let k = TRIES - 1; k >= 0; k--) {
    const ms = from.ms + ((to.ms - from.ms) * k) / TRIES;
    if (Math.abs(valueAt(way, ms) - from.depth) <= tenth) return ms;
  }
  return from.ms;
}

interface DepthWanted {
  readonly ms: number;
  readonly depth: number;
}
