import { SIDES, type Side } from "@/core/hand/finger";
import { isBlack, pitch } from "@/core/keyboard/pitch";
import type { Keys } from "../keys";

/** A made-up passage of one hand, in sixteenths. */
export interface Made {
  readonly side: Side;
  readonly keys: readonly Keys[];
  readonly tempo?: number;
  /** Onsets of each part that lies under one hand, one part after another, where the family has such. */
  readonly groups?: readonly number[];
}

/** One kind of figure in every key and for both hands, and what any teacher would ask of its digits. */
export interface Family {
  readonly name: string;
  readonly passages: readonly Made[];
  /** Whether fingers, key by key within an onset from the lowest, are as asked. */
  readonly isGood: (made: Made, fingers: readonly (readonly number[])[]) => boolean;
}

export { SIDES };
export const TONICS = Array.from({ length: 12 }, (_, i) => i);
export const MAJOR = [0, 2, 4, 5, 7, 9, 11];
export const HARMONIC_MINOR = [0, 2, 3, 5, 7, 8, 11];

/** Whether a key is black, by its MIDI number. */
export function isBlackKey(key: number): boolean {
  return isBlack(pitch(key));
}

/** MIDI number from which a hand is given its figures: in the right one from G 3, in the left one from C 2, so many semitones up. */
export function home(side: Side, tonic: number): number {
  return (side === "right" ? 55 : 36) + tonic;
}

/** The key of a step of a scale, or of a chord, counted from its tonic in either direction. */
export function keyAt(tonic: number, scale: readonly number[], step: number): number {
  const octave = Math.floor(step / scale.length);
  return tonic + 12 * octave + scale[step - octave * scale.length]!;
}

/** Fingers of single notes in the order in which a right hand going up plays them: the same movement, whichever hand and way. */
export function asUpwards({ side, keys }: Made, fingers: readonly (readonly number[])[]): readonly number[] {
  const inOrder = fingers.map(([finger]) => finger!);
  const awayFromThumb = (keys.at(-1) as number) > (keys[0] as number) === (side === "right");
  return awayFromThumb ? inOrder : inOrder.reverse();
}

/** Whether no thumb is on a black key, or all keys are black. */
export function keepsThumbOnWhite({ keys }: Made, fingers: readonly (readonly number[])[]): boolean {
  const single = keys as readonly number[];
  return single.every(isBlackKey) || single.every((key, i) => fingers[i]![0] !== 1 || !isBlackKey(key));
}

/** Whether single notes lie under one hand: each key has one finger, and the fingers lie in their order. */
export function liesUnderOneHand(side: Side, keys: Made["keys"], fingers: readonly (readonly number[])[]): boolean {
  const outwards = side === "right" ? 1 : -1;
  return keys.every((one, i) =>
    keys.every(
      (other, j) =>
        Math.sign((other as number) - (one as number)) * outwards === Math.sign(fingers[j]![0]! - fingers[i]![0]!),
    ),
  );
}

/** The same of each of so many parts, equally long, one after another. */
export function eachLiesUnderOneHand(
  { side, keys }: Made,
  fingers: readonly (readonly number[])[],
  parts: number,
): boolean {
  const length = keys.length / parts;
  return Array.from({ length: parts }, (_, i) => i * length).every((from) =>
    liesUnderOneHand(side, keys.slice(from, from + length), fingers.slice(from, from + length)),
  );
}
