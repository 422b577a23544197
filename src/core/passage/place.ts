import { add, toNumber, type Beats } from "../time/beats";

const FRACTIONS = [
  [0, ""],
  [1 / 4, "¼"],
  [1 / 2, "½"],
  [3 / 4, "¾"],
  [1 / 3, "⅓"],
  [2 / 3, "⅔"],
  [1 / 6, "⅙"],
  [5 / 6, "⅚"],
  [1 / 8, "⅛"],
  [3 / 8, "⅜"],
  [5 / 8, "⅝"],
  [7 / 8, "⅞"],
] as const;

/** "bar 3, beat 2¼": beats counted from 1, in quarter notes. */
export function placeText(bar: string, beat: Beats): string {
  const at = toNumber(add(beat, "1" as Beats));
  const whole = Math.floor(at + 1e-9);
  const part = at - whole;
  const fraction = FRACTIONS.find(([value]) => Math.abs(value - part) < 1e-6);
  return `bar ${bar}, beat ${fraction ? `${whole}${fraction[1]}` : at.toFixed(2)}`;
}
