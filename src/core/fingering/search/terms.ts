import { isBlack } from "../../keyboard/pitch";
import type { Line, Onset } from "../../passage/line";
import type { Stroke } from "../../passage/strokes";
import type { Candidate, PinnedDigits } from "../frames/candidates";
import type { Conditions } from "./conditions";
import type { Layer } from "./layer";
import { staysOn, type StayAt } from "./staying";
import type { Digits, Fingering } from "../study/fingering";
import type { Finger } from "../../hand/finger";
import type { NoteId } from "../../passage/note";

/** The player's conditions on one line, by Stroke.index. */
export interface Terms {
  readonly pins: PinnedDigits;
  /** Fingers ruled out, as bits: 1 << finger. */
  readonly ruledOut: Uint8Array;
  /** 1 where one finger must hold the stroke to its end. */
  readonly mustHold: Uint8Array;
  readonly anyMustHold: boolean;
  readonly noFourthAndFifth: boolean;
  /** Strain added where a stroke is played by some finger, at BY_FINGER times Stroke.index and the finger: by digits that stand, and see search/bonded. */
  readonly dearer?: Float64Array;
  /** What stays ask, by Onset.index. */
  readonly stays: ReadonlyMap<number, StayAt>;
}

/** Places a stroke has in a list by stroke and finger: one a finger, 1 to 5, and one unused before. */
export const BY_FINGER = 6;

/** Pins alone. */
export function pinsOnly(pins: PinnedDigits): Terms {
  const { length } = pins;
  return {
    pins,
    ruledOut: new Uint8Array(length),
    mustHold: new Uint8Array(length),
    anyMustHold: false,
    noFourthAndFifth: false,
    stays: new Map(),
  };
}

/** A condition on any note of a unison holds for its stroke; of two pins the first named wins. */
export function termsOf(line: Line, conditions: Conditions): Terms {
  const { pins = {}, ruledOut = {}, noThumbOnBlack = false, mustHold = [], noFourthAndFifth = false } = conditions;
  const { stays = [], standing } = conditions;
  const held = new Set(mustHold);
  return {
    pins: digitsOf(line, pins),
    ruledOut: byStroke(line, noThumbOnBlack || isAnything(ruledOut), ({ notes, key }) => {
      const fingers = notes.flatMap((id) => ruledOut[id] ?? []);
      return bits(noThumbOnBlack && isBlack(key) ? [1, ...fingers] : fingers);
    }),
    mustHold: byStroke(line, held.size > 0, ({ notes }) => Number(notes.some((id) => held.has(id)))),
    anyMustHold: mustHold.length > 0,
    noFourthAndFifth,
    stays: staysOn(line, stays),
    ...(standing ? { dearer: dearerThan(line, standing) } : {}),
  };
}

/** A number for each stroke; 0 everywhere where nothing is asked. */
function byStroke({ strokes }: Line, isAsked: boolean, of: (stroke: Stroke) => number): Uint8Array {
  return isAsked ? Uint8Array.from(strokes, of) : new Uint8Array(strokes.length);
}

function isAnything(named: object): boolean {
  return Object.keys(named).length > 0;
}

/** What another finger costs on each stroke that has a digit. */
function dearerThan(line: Line, { digits, worth }: NonNullable<Conditions["standing"]>): Float64Array {
  const dearer = new Float64Array(line.strokes.length * BY_FINGER);
  digitsOf(line, digits).forEach((digit, stroke) => {
    if (digit !== 0) makeOthersDearer(dearer, stroke, digit, worth);
  });
  return dearer;
}

/** Adds strain where a stroke is played by another finger. */
export function makeOthersDearer(dearer: Float64Array, stroke: number, finger: number, by: number): void {
  for (let other = 1; other < BY_FINGER; other++) if (other !== finger) dearer[stroke * BY_FINGER + other]! += by;
}

function bits(fingers: readonly Finger[]): number {
  return fingers.reduce((mask, finger) => mask | (1 << finger), 0);
}

/** Strain that the terms add to each candidate of an onset in a layer; null where they add none. */
export function addedTo({ dearer }: Terms, layer: Layer, { struck }: Onset): Float64Array | null {
  if (dearer === undefined || !struck.some(({ index }) => hasAny(dearer, index))) return null;
  return Float64Array.from(layer.candidates, (candidate) =>
    candidate.struck.reduce((sum, { finger, stroke }) => sum + dearer[stroke.index * BY_FINGER + finger]!, 0),
  );
}

function hasAny(dearer: Float64Array, stroke: number): boolean {
  for (let at = stroke * BY_FINGER; at < (stroke + 1) * BY_FINGER; at++) if (dearer[at] !== 0) return true;
  return false;
}

/** Whether a candidate plays every pinned stroke of its onset with the pinned finger. */
export function keepsPins({ pins }: Terms, { struck, leftOut }: Candidate): boolean {
  return (
    struck.every((p) => !pins[p.stroke.index] || pins[p.stroke.index] === p.finger) &&
    leftOut.every((s) => !pins[s.index])
  );
}

/** Whether it uses no finger that is ruled out; a pin comes before that. */
export function keepsToAllowed({ pins, ruledOut }: Terms, { struck }: Candidate): boolean {
  return struck.every(
    ({ stroke, finger }) => pins[stroke.index] === finger || (ruledOut[stroke.index]! & (1 << finger)) === 0,
  );
}

/** A fingering by stroke, 0 where it names none. */
export function digitsOf(line: Line, fingering: Fingering): Digits {
  if (!isAnything(fingering)) return new Int8Array(line.strokes.length);
  return Int8Array.from(line.strokes, ({ notes }) => {
    for (const id of notes) if (fingering[id]) return fingering[id];
    return 0;
  });
}

/** A line's digits by note; null where no finger plays. */
export function fingeringOf(line: Line, digits: Digits): Fingering {
  const fingering: Record<NoteId, Finger | null> = {};
  for (const { notes, index } of line.strokes) {
    for (const id of notes) fingering[id] = (digits[index] || null) as Finger | null;
  }
  return fingering;
}
