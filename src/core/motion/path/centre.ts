import { whiteWidth } from "../../keyboard/geometry";
import type { Instrument } from "../../keyboard/instrument";
import { carryTime } from "../../fingering/cost/fitts";
import type { NoteId } from "../../passage/note";
import { PLAN } from "../../physics";
import type { PlanFrame } from "./path";
import type { Release } from "../hand/release";

/** An onset at which fingers reach sideways although the wrist had time to carry them. */
export interface ReachedSideways {
  readonly note: NoteId;
  /** Between the middle of the hand and the middle of its notes. */
  readonly mm: number;
  /** ms there are before it, and that the way would take. */
  readonly window: number;
  readonly needed: number;
}

/** mm from the middle of the notes that are down to the middle of the hand, in keyboard coordinates: right is positive. */
export function offCentre({ x, ease, tips }: PlanFrame): number {
  return tips.length === 0 ? 0 : x - ease;
}

/**
 * Where the fingers reach sideways although there is time to carry the hand.
 * @param releases the time before each onset but the first, see releasesOf
 */
export function reachedSideways(
  frames: readonly PlanFrame[],
  releases: readonly Release[],
  on: Instrument,
): readonly ReachedSideways[] {
  return frames.flatMap((frame, i) => {
    const mm = Math.abs(offCentre(frame));
    const release = releases[i - 1];
    if (mm < PLAN.sidewaysReach || !release || frame.notes.length === 0) return [];
    const needed = carryTime(mm, whiteWidth(on));
    return release.window >= needed ? [{ note: frame.notes[0]!, mm, window: release.window, needed }] : [];
  });
}
