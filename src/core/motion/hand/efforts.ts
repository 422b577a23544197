import { armShare } from "../../fingering/cost/arm";
import type { Frame } from "../../fingering/frames/frame";
import type { Hand } from "../../hand/hand";
import type { NoteId } from "../../passage/note";
import { PLAN } from "../../physics";

/** Strokes of the whole hand, octaves and chords, that follow one another without a rest. */
export interface Effort {
  readonly from: NoteId;
  readonly ms: number;
  readonly strokes: number;
}

/** Efforts that go on for PLAN.onAndOnFrom seconds and more at PLAN.onAndOnRate strokes a second or faster, in order. */
export function effortsOf(hand: Hand, frames: readonly Frame[]): readonly Effort[] {
  const found: { from: NoteId; ms: number; strokes: number }[] = [];
  let isRunning = false;
  for (const frame of frames) {
    const isStroke = armShare(hand, frame) >= 0.5;
    if (isStroke && isRunning && frame.onset.gap < PLAN.onAndOnRest) {
      const run = found.at(-1)!;
      run.ms += frame.onset.gap;
      run.strokes++;
    } else if (isStroke) found.push({ from: frame.struck[0]!.stroke.notes[0]!, ms: 0, strokes: 1 });
    isRunning = isStroke;
  }
  return found.filter(({ ms, strokes }) => ms >= 1000 * PLAN.onAndOnFrom && (1000 * strokes) / ms >= PLAN.onAndOnRate);
}
