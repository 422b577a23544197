import { FINGERS, type Finger } from "../../hand/finger";
import type { Hand } from "../../hand/hand";
import { contactOn } from "../../keyboard/contact";
import type { Instrument } from "../../keyboard/instrument";
import { isBlack } from "../../keyboard/pitch";
import { MOTION } from "../../physics";
import type { Onset } from "../../passage/line";
import type { Stroke } from "../../passage/strokes";
import type { Hold } from "../../placement/placement";
import type { Placements } from "../../placement/placements";

/** A finger on a key. x in mm, mirrored for the left hand so that it always rises towards finger 5, and so is head. */
export interface Press extends Hold {
  readonly stroke: Stroke;
  readonly black: boolean;
  readonly x: number;
  /** mm, where the finger is on it as it goes from one white key to another. */
  readonly head: number;
  /** mm from the white fronts. */
  readonly y: number;
  /** mm, least and greatest mirrored x at which the patch still lies on the key. */
  readonly least: number;
  readonly most: number;
}

/** The hand at one onset: what it strikes, what it goes on holding, and what it could not. */
export interface Frame {
  readonly onset: Onset;
  /** Fingers that strike now, in order of x. */
  readonly struck: readonly Press[];
  /** Fingers that go on holding earlier strokes. */
  readonly held: readonly Press[];
  /** Those of them that go on with another finger, changed silently on the key, and the finger before. */
  readonly changed: readonly { readonly press: Press; readonly from: Finger }[];
  /** Earlier strokes that should be held on but had to be let go now, with the mm by which they were out of reach. */
  readonly letGo: readonly { readonly press: Press; readonly short: number }[];
  /** Strokes of this onset that no finger plays. */
  readonly leftOut: readonly Stroke[];
  /** mm, mirrored x of the middle of the hand when every finger that strikes lies where it rests. */
  readonly centre: number;
  /** mm, how far in the foremost fingertip stands. */
  readonly depth: number;
}

/** What frames are made with. */
export interface Bench {
  readonly hand: Hand;
  readonly instrument: Instrument;
  readonly placements: Placements;
}

/** The press of a finger on a stroke's key, at the usual contact. */
export function press(finger: Finger, stroke: Stroke, { hand, instrument }: Pick<Bench, "hand" | "instrument">): Press {
  const { x, head, y, leftmost, rightmost } = contactOn(stroke.key, instrument);
  const black = isBlack(stroke.key);
  return hand.side === "right"
    ? { finger, key: stroke.key, stroke, black, x, head, y, least: leftmost, most: rightmost }
    : { finger, key: stroke.key, stroke, black, x: -x, head: -head, y, least: -rightmost, most: -leftmost };
}

/** The first frame, or the frame that follows one, when these fingers strike at an onset. */
export function frameAfter(
  before: Frame | null,
  onset: Onset,
  struck: readonly Press[],
  leftOut: readonly Stroke[],
  on: Bench,
): Frame {
  const isLoose = before === null || (before.held.length === 0 && noneGoesOn(before.struck, onset));
  const { held, changed, letGo } = isLoose ? NOTHING_HELD : heldFrom(before, onset, struck, on);
  const { centre, depth } = stance(struck, before, on.hand);
  return { onset, struck, held, changed, letGo, leftOut, centre, depth };
}

type Held = Pick<Frame, "held" | "changed" | "letGo">;

const NOTHING_HELD: Held = { held: [], changed: [], letGo: [] };

function heldFrom(before: Frame, onset: Onset, struck: readonly Press[], on: Bench): Held {
  const holding: Holding = { held: [], changed: [], letGo: [] };
  for (const press of before.held) hold(holding, press, before, onset, struck, on);
  for (const press of before.struck) hold(holding, press, before, onset, struck, on);
  return holding;
}

interface Holding {
  readonly held: Press[];
  readonly changed: { press: Press; from: Finger }[];
  readonly letGo: { press: Press; short: number }[];
}

function noneGoesOn(struck: readonly Press[], { index }: Onset): boolean {
  for (const { stroke } of struck) if (stroke.until > index) return false;
  return true;
}

function hold(
  { held, changed, letGo }: Holding,
  press: Press,
  before: Frame,
  onset: Onset,
  struck: readonly Press[],
  on: Bench,
): void {
  if (press.stroke.until <= onset.index) return;
  const short = shortOf(press, held, struck, on);
  if (short === null) {
    held.push(press);
    return;
  }
  const other = otherFinger(press, before, held, struck, onset, on);
  if (other === null) letGo.push({ press, short });
  else {
    held.push(other);
    changed.push({ press: other, from: press.finger });
  }
}

/**
 * The same key held on by another finger, the easiest of those that are free; null where none is, or where too little
 * is left of the note for a change to be worth it.
 */
function otherFinger(
  holding: Press,
  before: Frame,
  held: readonly Press[],
  struck: readonly Press[],
  onset: Onset,
  on: Bench,
): Press | null {
  const { stroke } = holding;
  if (stroke.ms + stroke.soundsMs - onset.ms < MOTION.changeLeastMs) return null;
  let [best, least]: [Press | null, number] = [null, Infinity];
  for (const finger of FINGERS) {
    if (on.hand.resting.includes(finger) || isBusy(finger, before, held, struck, onset)) continue;
    const other: Press = { ...holding, finger };
    const found = on.placements.look(struck, [...held, other]);
    if (found.kind === "held" && found.strain < least && inOrder(other, struck, held))
      [best, least] = [other, found.strain];
  }
  return best;
}

function isBusy(
  finger: Finger,
  before: Frame,
  held: readonly Press[],
  struck: readonly Press[],
  onset: Onset,
): boolean {
  const uses = (p: Press): boolean => p.finger === finger;
  const goesOn = (p: Press): boolean => uses(p) && p.stroke.until > onset.index;
  return struck.some(uses) || held.some(uses) || before.held.some(goesOn) || before.struck.some(goesOn);
}

function inOrder(other: Press, struck: readonly Press[], held: readonly Press[]): boolean {
  const fits = (p: Press): boolean => p.finger < other.finger === p.x < other.x;
  return struck.every(fits) && held.every(fits);
}

/**
 * null when a finger may stay with those that strike and those that stay already; otherwise the mm it is short
 * by, 0 when it is wanted elsewhere.
 */
function shortOf(holding: Press, held: readonly Press[], struck: readonly Press[], on: Bench): number | null {
  if (struck.some((p) => p.finger === holding.finger)) return 0;
  const all = on.placements.look(struck, [...held, holding]);
  if (all.kind === "held") return null;
  if (held.length > 0 || struck.length > 1) {
    // What strikes may be out of reach by itself, where the player wants it so: then each finger is asked singly.
    const without = on.placements.look(struck, held);
    if (without.kind === "out-of-reach" && struck.every((p) => on.placements.look([p, holding]).kind === "held"))
      return null;
  }
  return all.short?.mm ?? 0;
}

function stance(struck: readonly Press[], before: Frame | null, hand: Hand): { centre: number; depth: number } {
  if (struck.length === 0) return { centre: before?.centre ?? 0, depth: before?.depth ?? 0 };
  let centre = 0;
  let depth = 0;
  for (const at of struck) {
    centre += at.x - (hand.restOffsets[at.finger - 1] as number);
    depth += at.y + (hand.behind[at.finger - 1] as number);
  }
  return { centre: centre / struck.length, depth: depth / struck.length };
}
