import { isOnKeyboard } from "../keyboard/pitch";

/** A key as it is written. */
export interface WrittenPitch {
  /** "C" to "B". */
  readonly step: string;
  /** -2 double flat to 2 double sharp. */
  readonly alter: number;
  /** That of middle C is 4. */
  readonly octave: number;
}

const STEPS = ["C", "D", "E", "F", "G", "A", "B"] as const;
const KEYS = [0, 2, 4, 5, 7, 9, 11];
/** The order in which sharps come into a key; flats the other way. */
const FIFTHS = "FCGDAEB";

/** Sign of a step by the key signature: 1 sharp, -1 flat. */
export function signInKey(step: string, fifths: number): number {
  if (fifths >= 0) return FIFTHS.indexOf(step) < fifths ? 1 : 0;
  return 6 - FIFTHS.indexOf(step) < -fifths ? -1 : 0;
}

/** The key number that a written pitch is played on. */
export function keyOf({ step, alter, octave }: WrittenPitch): number {
  return (octave + 1) * 12 + KEYS[STEPS.indexOf(step as (typeof STEPS)[number])]! + alter;
}

/**
 * A key spelled in a key signature: the step that the signature itself puts there, else a plain one, else raised in
 * keys with sharps or none and lowered in keys with flats.
 */
export function spell(key: number, fifths: number): WrittenPitch {
  const ways = spellingsOf(key);
  return (
    ways.find((w) => w.alter === signInKey(w.step, fifths)) ??
    ways.find((w) => w.alter === 0) ??
    ways.find((w) => w.alter === (fifths < 0 ? -1 : 1))!
  );
}

/** The same key written the next other way: as sharp, flat or plain. */
export function respelled(pitch: WrittenPitch): WrittenPitch {
  const ways = spellingsOf(keyOf(pitch));
  const at = ways.findIndex((w) => w.step === pitch.step);
  return ways[(at + 1) % ways.length]!;
}

/** A written pitch moved by steps of the scale, with the sign of the key there; as it was where it would leave the keyboard. */
export function movedBySteps(pitch: WrittenPitch, steps: number, fifths: number): WrittenPitch {
  const place = STEPS.indexOf(pitch.step as (typeof STEPS)[number]) + pitch.octave * 7 + steps;
  const step = STEPS[((place % 7) + 7) % 7]!;
  const moved = { step, alter: signInKey(step, fifths), octave: Math.floor(place / 7) };
  return isOnKeyboard(keyOf(moved)) ? moved : pitch;
}

/** The key of a step by the key signature that lies nearest to another key; the lower of two as near. */
export function nearestKey(step: string, fifths: number, to: number): number {
  const within = KEYS[STEPS.indexOf(step as (typeof STEPS)[number])]! + signInKey(step, fifths);
  const octaves = Array.from({ length: 11 }, (_, octave) => octave * 12 + within).filter(isOnKeyboard);
  return octaves.reduce((best, key) => (Math.abs(key - to) < Math.abs(best - to) ? key : best), octaves[0]!);
}

/** Every way to write a key with at most so many signs, plain ones first. */
export function spellingsOf(key: number, most: 1 | 2 = 1): readonly WrittenPitch[] {
  return [0, 1, -1, 2, -2].slice(0, 1 + 2 * most).flatMap((alter) =>
    STEPS.flatMap((step, i) => {
      const octave = (key - alter - KEYS[i]!) / 12 - 1;
      return Number.isInteger(octave) ? [{ step, alter, octave }] : [];
    }),
  );
}

/** Steps of the scale from the lowest C at which a pitch is written: C4 is 28. */
export function stepOfWritten({ step, octave }: WrittenPitch): number {
  return STEPS.indexOf(step as (typeof STEPS)[number]) + 7 * octave;
}
