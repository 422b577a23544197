import Fraction from "fraction.js";

/**
 * A length or place in time in quarter notes, exact, written as a reduced fraction ("0", "3/2", "-1/3").
 * A string, so that it travels through workers, actions and the database unchanged and compares with ===.
 */
export type Beats = string & { readonly __unit: "beats" };

export const ZERO = "0" as Beats;

/**
 * Exact beats from a whole numerator and denominator, or from a text such as "3/2".
 * @throws RangeError when the text is no fraction or the denominator is zero.
 */
export function beats(value: number | string, per = 1): Beats {
  try {
    return new Fraction(value).div(per).toFraction() as Beats;
  } catch {
    throw new RangeError(`"${value}${per === 1 ? "" : `/${per}`}" is not an exact number of beats.`);
  }
}

export function add(a: Beats, b: Beats): Beats {
  return new Fraction(a).add(b).toFraction() as Beats;
}

export function subtract(a: Beats, b: Beats): Beats {
  return new Fraction(a).sub(b).toFraction() as Beats;
}

export function multiply(a: Beats, b: Beats): Beats {
  return new Fraction(a).mul(b).toFraction() as Beats;
}

export function divide(a: Beats, b: Beats): Beats {
  return new Fraction(a).div(b).toFraction() as Beats;
}

/** Negative when a is earlier than b, zero when equal, positive when later. */
export function compare(a: Beats, b: Beats): number {
  return a === b ? 0 : new Fraction(a).compare(b);
}

export function later(a: Beats, b: Beats): Beats {
  return compare(a, b) >= 0 ? a : b;
}

/** Nearest floating-point number of quarter notes. */
export function toNumber(value: Beats): number {
  return new Fraction(value).valueOf();
}

/** Milliseconds of a length at a tempo in quarter notes a minute. */
export function toMs(value: Beats, tempo: number): number {
  return (toNumber(value) * 60_000) / tempo;
}
