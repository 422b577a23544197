import { FINGERS, type Finger } from "../../hand/finger";
import type { Hand } from "../../hand/hand";
import type { Onset } from "../../passage/line";
import type { Stroke } from "../../passage/strokes";
import { thumbTakesBoth } from "../../placement/doubled";
import { press, type Bench, type Press } from "./frame";

/** One way to strike an onset: the fingers that play, in order of x, and the strokes that none plays. */
export interface Candidate {
  readonly struck: readonly Press[];
  readonly leftOut: readonly Stroke[];
}

/** Fingers fixed by the player, by Stroke.index; 0 where free. */
export type PinnedDigits = Int8Array;

/**
 * All ways to strike an onset that leave out as few notes as can be, and never its tune or its bass while another note
 * can go instead: fingers in their natural order, the thumb on two neighbouring white keys among them, all of them within
 * reach together, pinned notes with their fingers, resting fingers unused.
 * Pins come before order and reach: where they allow no such way, any way with those fingers is taken,
 * and where two notes are pinned to one finger the higher one is left out.
 */
export function candidatesFor(onset: Onset, pins: PinnedDigits, on: Bench): readonly Candidate[] {
  const strokes = inHandOrder(onset.struck, on);
  if (strokes.length === 1) return ofOneNote(strokes[0]!, pins, on);
  const isPinned = strokes.some((s) => pins[s.index]);
  const kept = toKeep(onset.struck, on.hand);
  for (const needed of kept.length > 0 ? [kept, []] : [[]]) {
    for (let leftOut = 0; leftOut <= strokes.length - needed.length; leftOut++) {
      const natural = keeping(needed, assign(strokes, pins, on, leftOut, fitsNaturally));
      if (natural.length > 0) return natural;
      const forced = isPinned
        ? keeping(
            needed,
            assign(strokes, pins, on, leftOut, () => true),
          )
        : [];
      if (forced.length > 0) return forced;
    }
  }
  return [{ struck: [], leftOut: strokes }];
}

/** A note by itself is played by any finger, or by the one it is pinned to. */
function ofOneNote(stroke: Stroke, pins: PinnedDigits, on: Bench): readonly Candidate[] {
  const pinned = (pins[stroke.index] ?? 0) as Finger | 0;
  const fingers = pinned === 0 ? fingersOf(on) : [pinned];
  if (fingers.length === 0) return [{ struck: [], leftOut: [stroke] }];
  return fingers.map((finger) => ({ struck: [press(finger, stroke, on)], leftOut: [] }));
}

function fingersOf({ hand }: Bench): readonly Finger[] {
  return FINGERS.filter((finger) => !hand.resting.includes(finger));
}

/** What the music is least without: the lowest note of the left hand, the highest of the right, and what is marked as tune. */
function toKeep(struck: readonly Stroke[], { side }: Hand): readonly Stroke[] {
  if (struck.length < 2) return [];
  const outer = side === "left" ? struck[0] : struck.at(-1);
  return struck.filter((stroke) => stroke === outer || stroke.tune);
}

function keeping(needed: readonly Stroke[], all: readonly Candidate[]): readonly Candidate[] {
  return needed.length === 0 ? all : all.filter(({ leftOut }) => leftOut.every((stroke) => !needed.includes(stroke)));
}

/** Whether a finger may strike together with those already placed to its thumb side. */
function fitsNaturally(placed: readonly Press[], next: Press, { placements }: Bench): boolean {
  const last = placed.at(-1);
  if (last === undefined) return true;
  const follows = last.finger < next.finger || (placed.length === 1 && thumbTakesBoth(last, next));
  return follows && placements.look(placed, [next]).kind === "held";
}

function inHandOrder(strokes: readonly Stroke[], { hand }: Bench): readonly Stroke[] {
  return hand.side === "right" ? strokes : [...strokes].reverse();
}

type Fits = (placed: readonly Press[], next: Press, on: Bench) => boolean;

function assign(
  strokes: readonly Stroke[],
  pins: PinnedDigits,
  on: Bench,
  leftOut: number,
  fits: Fits,
): readonly Candidate[] {
  const found: Candidate[] = [];
  const free = fingersOf(on);
  place(0, [], []);
  return found;

  function place(at: number, struck: readonly Press[], out: readonly Stroke[]): void {
    const stroke = strokes[at];
    if (stroke === undefined) {
      if (out.length === leftOut) found.push({ struck, leftOut: out });
      return;
    }
    const pinned = (pins[stroke.index] ?? 0) as Finger | 0;
    for (const finger of pinned === 0 ? free : [pinned]) {
      const next = press(finger, stroke, on);
      const taken = struck.some((p) => p.finger === finger);
      if ((taken && !(struck.length === 1 && thumbTakesBoth(struck[0]!, next))) || !fits(struck, next, on)) continue;
      place(at + 1, [...struck, next], out);
    }
    if (out.length < leftOut) place(at + 1, struck, [...out, stroke]);
  }
}
