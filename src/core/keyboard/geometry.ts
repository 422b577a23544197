import { KEYBOARD } from "../physics";
import type { Instrument } from "./instrument";
import { isBlack, pitch, type Pitch } from "./pitch";

/**
 * Where keys lie. x in mm along the keyboard, 0 at the left edge of the C at or below the lowest key
 * (key 12), rising to the right; y in mm from the white fronts (0) to the fallboard (150).
 */
export interface KeyShape {
  readonly key: Pitch;
  readonly black: boolean;
  /** mm, outer edges: of the head for a white key, of the top for a black one. */
  readonly left: number;
  readonly right: number;
  /** mm, edges of the part between or beside the black keys; for a black key the same as its edges. */
  readonly tailLeft: number;
  readonly tailRight: number;
}

/** White keys to the left of each pitch class within its octave. */
const WHITES_BELOW = [0, 1, 1, 2, 2, 3, 4, 4, 5, 5, 6, 6];

/**
 * Edges of the twelve strips at the fallboard, in white-key widths from the left edge of C: C to E are
 * five equal strips of 3/5, F to B seven of 4/7. Black centres fall at 0.9, 2.1, 3.857, 5.0 and 6.143.
 */
const STRIP_EDGES = [0, 0.6, 1.2, 1.8, 2.4, 3, ...[1, 2, 3, 4, 5, 6, 7].map((n) => 3 + (n * 4) / 7)];

/** mm, width of a white key's head: a seventh of the octave. */
export function whiteWidth(on: Instrument): number {
  return on.octaveWidth / 7;
}

/** mm, x of the middle of a key: of the head for a white key, of the top for a black one. */
export function keyMiddle(key: Pitch, on: Instrument): number {
  const white = whiteWidth(on);
  const octave = (Math.floor(key / 12) - 1) * on.octaveWidth;
  const pc = key % 12;
  if (!isBlack(key)) return octave + ((WHITES_BELOW[pc] as number) + 0.5) * white;
  return octave + (((STRIP_EDGES[pc] as number) + (STRIP_EDGES[pc + 1] as number)) / 2) * white;
}

/** The outline of a key in mm. The lowest A and the highest C have one open side. */
export function keyShape(key: Pitch, on: Instrument): KeyShape {
  const middle = keyMiddle(key, on);
  if (isBlack(key)) {
    const half = KEYBOARD.blackTopWidth / 2;
    const [left, right] = [middle - half, middle + half];
    return { key, black: true, left, right, tailLeft: left, tailRight: right };
  }
  const half = whiteWidth(on) / 2;
  const [left, right] = [middle - half, middle + half];
  return {
    key,
    black: false,
    left,
    right,
    tailLeft: tailEdge(key, -1, left, on),
    tailRight: tailEdge(key, 1, right, on),
  };
}

/** Middles of the five black keys of an octave in white-key widths from the left edge of C. */
const BLACK_MIDDLES = [1, 3, 6, 8, 10].map((pc) => ((STRIP_EDGES[pc] as number) + (STRIP_EDGES[pc + 1] as number)) / 2);

/** Whether a black top lies at an x in mm. */
export function blackAt(x: number, on: Instrument): boolean {
  const within = x - Math.floor(x / on.octaveWidth) * on.octaveWidth;
  const half = KEYBOARD.blackTopWidth / 2;
  for (const middle of BLACK_MIDDLES) if (Math.abs(within - middle * whiteWidth(on)) <= half) return true;
  return false;
}

/** mm between the middles of two keys; positive when b lies to the right of a. */
export function distance(a: Pitch, b: Pitch, on: Instrument): number {
  return keyMiddle(b, on) - keyMiddle(a, on);
}

/**
 * mm free between two neighbouring black tops, the distance of their middles less a top's width:
 * a fingertip no wider can play the white key between them. F sharp to G sharp: 17.4 mm full size.
 */
export function gapBetween(lower: Pitch, upper: Pitch, on: Instrument): number {
  return distance(lower, upper, on) - KEYBOARD.blackTopWidth;
}

/** All 88 keys, lowest first. */
export function allKeys(on: Instrument): readonly KeyShape[] {
  const count = KEYBOARD.highestKey - KEYBOARD.lowestKey + 1;
  return Array.from({ length: count }, (_, i) => keyShape(pitch(KEYBOARD.lowestKey + i), on));
}

function tailEdge(key: Pitch, towards: 1 | -1, headEdge: number, on: Instrument): number {
  const neighbour = key + towards;
  if (neighbour < KEYBOARD.lowestKey || neighbour > KEYBOARD.highestKey) return headEdge;
  if (!isBlack(neighbour as Pitch)) return headEdge;
  return keyMiddle(neighbour as Pitch, on) - (towards * KEYBOARD.blackTopWidth) / 2;
}
