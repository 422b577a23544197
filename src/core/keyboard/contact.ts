import { CONTACT } from "../physics";
import { keyShape } from "./geometry";
import type { Instrument } from "./instrument";
import type { Pitch } from "./pitch";

/** Where a fingertip usually meets a key, and how far to either side its patch may stand. mm. */
export interface Contact {
  readonly x: number;
  /** Where it does between white keys: in the middle of the head; of a black key the same as x. */
  readonly head: number;
  readonly y: number;
  readonly leftmost: number;
  readonly rightmost: number;
}

/**
 * The usual contact: a black key on the middle of its top; a white key on its head, between the middle of
 * the head and the middle of the part between the black keys, for there a finger that comes from or goes
 * towards a black key lies. That part counts by CONTACT.tailShare, a choice. From one white key to another
 * fingers go from the middle of one head to that of the other.
 */
export function contactOn(key: Pitch, on: Instrument): Contact {
  const { black, left, right, tailLeft, tailRight } = keyShape(key, on);
  const middle = (left + right) / 2;
  if (black) return { x: middle, head: middle, y: CONTACT.blackDepth, leftmost: middle, rightmost: middle };
  const tail = (tailLeft + tailRight) / 2;
  return {
    x: middle + CONTACT.tailShare * (tail - middle),
    head: middle,
    y: CONTACT.whiteDepth,
    leftmost: left + CONTACT.patch / 2,
    rightmost: right - CONTACT.patch / 2,
  };
}
