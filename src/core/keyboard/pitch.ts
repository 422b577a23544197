import { KEYBOARD } from "../physics";

/** A key of the piano by its MIDI number: 60 is middle C, 21 the lowest A, 108 the highest C. */
export type Pitch = number & { readonly __unit: "pitch" };

const NAMES = ["C", "C sharp", "D", "E flat", "E", "F", "F sharp", "G", "A flat", "A", "B flat", "B"];
const BLACK = [1, 3, 6, 8, 10];

/**
 * A checked key number.
 * @throws RangeError naming the key when it is not one of the 88.
 */
export function pitch(value: number): Pitch {
  if (!isOnKeyboard(value)) {
    throw new RangeError(`Key ${value} is not one of the 88 (${KEYBOARD.lowestKey} to ${KEYBOARD.highestKey}).`);
  }
  return value as Pitch;
}

/** Whether a number is a key of the piano: whole, from the lowest A (21) to the highest C (108). */
export function isOnKeyboard(value: number): value is Pitch {
  return Number.isInteger(value) && value >= KEYBOARD.lowestKey && value <= KEYBOARD.highestKey;
}

/** 0 for C to 11 for B. */
export function pitchClass(key: Pitch): number {
  return key % 12;
}

/** Whether a key is black. */
export function isBlack(key: Pitch): boolean {
  return BLACK.includes(key % 12);
}

/** The key's plain name with its octave, middle C being C4: "B flat 3". */
export function pitchName(key: Pitch): string {
  return `${NAMES[key % 12]} ${Math.floor(key / 12) - 1}`;
}

/**
 * Reflects a key about a centre. Black and white are kept apart only for centres on a D or an A flat.
 * @throws RangeError naming the key that leaves the keyboard.
 */
export function reflect(key: Pitch, centre: Pitch): Pitch {
  return pitch(2 * centre - key);
}
