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
  if (a === b) return 0;
  const apart = toNumber(a) - toNumber(b);
  return Math.abs(apart) > SURELY_APART ? apart : new Fraction(a).compare(b);
}

/** Farther apart than this floating-point numbers are in the order of their fractions. */
export const SURELY_APART = 1e-6;

export function later(a: Beats, b: Beats): Beats {
  return compare(a, b) >= 0 ? a : b;
}

/** Nearest floating-point number of quarter notes. */
export function toNumber(value: Beats): number {
  const bar = value.indexOf("/");
  return bar < 0 ? Number(value) : Number(value.slice(0, bar)) / Number(value.slice(bar + 1));
}

/** Milliseconds of a length at a tempo in quarter notes a minute. */
export function toMs(value: Beats, tempo: number): number {
  return (toNumber(value) * 60_000) / tempo;
}
