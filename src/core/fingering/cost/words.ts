import { KEYBOARD } from "../../physics";
import { fingerName } from "../../hand/finger";
import type { Press } from "../frames/frame";

/** "1 and 5", lower finger first. */
export function fingers(a: Press | null, b: Press | null): string {
  return [a, b]
    .flatMap((p) => (p ? [p.finger] : []))
    .sort()
    .join(" and ");
}

/** A distance in whole mm. */
export function mm(amount: number): string {
  return `${Math.round(amount)} mm`;
}

/** A distance in keys of a common piano, to the half: "two keys and a half"; "hardly anything" below a quarter. */
export function keys(amount: number): string {
  const halves = Math.round((2 * amount) / (KEYBOARD.fullOctaveWidth / 7));
  if (halves === 0) return "hardly anything";
  if (halves === 1) return "half a key";
  const whole = Math.floor(halves / 2);
  const name = whole === 1 ? "a key" : `${NUMBERS[whole] ?? whole} keys`;
  return halves % 2 === 0 ? name : `${name} and a half`;
}

const NUMBERS = ["", "", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten", "eleven", "twelve"];

/** A stretch of time: "240 ms", or "1.5 seconds" from one second on. */
export function seconds(amount: number): string {
  return amount < 1000 ? ms(amount) : `${(amount / 1000).toFixed(1)} seconds`;
}

/** A time in whole ms. */
export function ms(amount: number): string {
  return `${Math.round(amount)} ms`;
}

/** Times a second, to one decimal. */
export function hz(amount: number): string {
  return `${amount.toFixed(1)} a second`;
}

/** "thumb on B flat". */
export function fingerOnKey(press: Press): string {
  return `${fingerName(press.finger)} on ${press.stroke.spelled}`;
}
