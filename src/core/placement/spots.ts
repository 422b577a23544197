import { CONTACT, KEYBOARD } from "../physics";
import { gapBetween, keyShape } from "../keyboard/geometry";
import type { Instrument } from "../keyboard/instrument";
import { isBlack, type Pitch } from "../keyboard/pitch";

/** Which part of a key a tip plays: the head of a white key, its part between the black keys, or a black top. */
export type Part = "head" | "between" | "top";

/** Where the middle of a tip may stand on one part of a key. mm, keyboard coordinates. */
export interface Spot {
  readonly part: Part;
  readonly left: number;
  readonly right: number;
  readonly front: number;
  readonly back: number;
  /** y of the usual contact: deeper than this the key grows heavier. */
  readonly usual: number;
}

/**
 * The parts of a key that a tip of a width in mm can play. On a black top the middle of the patch lies on the
 * top; on the head of a white key the patch lies on the key and the tip clears the black keys; between black
 * keys the whole tip must fit, so that a tip too broad for the gap is kept to the head.
 */
export function spotsOn(key: Pitch, tipWidth: number, on: Instrument): readonly Spot[] {
  const shape = keyShape(key, on);
  const patch = CONTACT.patch / 2;
  const blackBack = KEYBOARD.blackStart + KEYBOARD.blackLength - patch;
  if (shape.black) {
    const front = KEYBOARD.blackStart + patch;
    return [{ part: "top", left: shape.left, right: shape.right, front, back: blackBack, usual: CONTACT.blackDepth }];
  }
  const head: Spot = {
    part: "head",
    left: shape.left + patch,
    right: shape.right - patch,
    front: patch,
    back: KEYBOARD.blackStart - Math.max(patch, tipWidth / 2),
    usual: CONTACT.whiteDepth,
  };
  const left = shape.tailLeft + (standsBlack(key, -1) ? tipWidth / 2 : patch);
  const right = shape.tailRight - (standsBlack(key, 1) ? tipWidth / 2 : patch);
  if (left > right) return [head];
  return [
    head,
    { part: "between", left, right, front: KEYBOARD.blackStart, back: blackBack, usual: CONTACT.whiteDepth },
  ];
}

/** Whether a tip of a width can play a white key deep in between the two black keys beside it. */
export function fitsBetween(lower: Pitch, upper: Pitch, tipWidth: number, on: Instrument): boolean {
  return gapBetween(lower, upper, on) >= tipWidth;
}

function standsBlack(key: Pitch, towards: 1 | -1): boolean {
  const neighbour = key + towards;
  return neighbour >= KEYBOARD.lowestKey && neighbour <= KEYBOARD.highestKey && isBlack(neighbour as Pitch);
}
