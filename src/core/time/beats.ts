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

/** a + b, exactly. */
export function add(a: Beats, b: Beats): Beats {
  if (a === ZERO) return b;
  if (b === ZERO) return a;
  return summed(a, b, 1) ?? (new Fraction(a).add(b).toFraction() as Beats);
}

/** a - b, exactly. */
export function subtract(a: Beats, b: Beats): Beats {
  if (b === ZERO) return a;
  return summed(a, b, -1) ?? (new Fraction(a).sub(b).toFraction() as Beats);
}

/** a times b, exactly. */
export function multiply(a: Beats, b: Beats): Beats {
  return product(a, b) ?? (new Fraction(a).mul(b).toFraction() as Beats);
}

/** a / b, exactly. @throws Error where b is 0. */
export function divide(a: Beats, b: Beats): Beats {
  return new Fraction(a).div(b).toFraction() as Beats;
}

/** Below this a product of two parts of a fraction, and a sum of two such, are exact as numbers. */
const SURELY_EXACT = 2 ** 25;

/** a + sign * b by plain numbers, which is most of what reading a score does; null where only whole fractions are exact. */
function summed(a: Beats, b: Beats, sign: 1 | -1): Beats | null {
  const [p, q] = partsOf(a);
  const [r, s] = partsOf(b);
  if (!(Math.abs(p) < SURELY_EXACT && Math.abs(r) < SURELY_EXACT && q < SURELY_EXACT && s < SURELY_EXACT)) return null;
  return reduced(p * s + sign * r * q, q * s);
}

function product(a: Beats, b: Beats): Beats | null {
  const [p, q] = partsOf(a);
  const [r, s] = partsOf(b);
  if (!(Math.abs(p) < SURELY_EXACT && Math.abs(r) < SURELY_EXACT && q < SURELY_EXACT && s < SURELY_EXACT)) return null;
  return reduced(p * r, q * s);
}

function reduced(above: number, under: number): Beats {
  const common = greatestCommon(Math.abs(above), under);
  return (under === common ? String(above / common) : `${above / common}/${under / common}`) as Beats;
}

function partsOf(value: Beats): readonly [above: number, under: number] {
  const bar = value.indexOf("/");
  return bar < 0 ? [Number(value), 1] : [Number(value.slice(0, bar)), Number(value.slice(bar + 1))];
}

function greatestCommon(a: number, b: number): number {
  while (b !== 0) [a, b] = [b, a % b];
  return a;
}

/** The denominator of a reduced fraction, as far as a number can say it. */
export function denominatorOf(value: Beats): number {
  return partsOf(value)[1];
}

/** Negative when a is earlier than b, zero when equal, positive when later. */
export function compare(a: Beats, b: Beats): number {
  if (a === b) return 0;
  const apart = toNumber(a) - toNumber(b);
  return Math.abs(apart) > SURELY_APART ? apart : new Fraction(a).compare(b);
}

/** Farther apart than this floating-point numbers are in the order of their fractions. */
export const SURELY_APART = 1e-6;

/** The later of two; the first where they are equal. */
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
  return msOf(toNumber(value), tempo);
}

/** The same of a number of quarter notes. */
export function msOf(quarters: number, tempo: number): number {
  return (quarters * 60_000) / tempo;
}
