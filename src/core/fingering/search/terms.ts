import { isBlack } from "../../keyboard/pitch";
import type { Line, Onset } from "../../passage/line";
import type { Candidate, PinnedDigits } from "../frames/candidates";
import type { Conditions } from "./conditions";
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
  /** Strain added where a stroke is played by some finger, by Stroke.index and then by finger, 1 to 5: by digits that stand, and see search/bonded. */
  readonly dearer?: ReadonlyMap<number, Float64Array>;
  /** What stays ask, by Onset.index. */
  readonly stays: ReadonlyMap<number, StayAt>;
}

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
    ruledOut: Uint8Array.from(line.strokes, ({ notes, key }) => {
      const fingers = notes.flatMap((id) => ruledOut[id] ?? []);
      return bits(noThumbOnBlack && isBlack(key) ? [1, ...fingers] : fingers);
    }),
    mustHold: Uint8Array.from(line.strokes, ({ notes }) => Number(notes.some((id) => held.has(id)))),
    anyMustHold: mustHold.length > 0,
    noFourthAndFifth,
    stays: staysOn(line, stays),
    ...(standing ? { dearer: dearerThan(line, standing) } : {}),
  };
}

/** What another finger costs on each stroke that has a digit. */
function dearerThan(line: Line, { digits, worth }: NonNullable<Conditions["standing"]>): Map<number, Float64Array> {
  const dearer = new Map<number, Float64Array>();
  digitsOf(line, digits).forEach((digit, stroke) => {
    if (digit === 0) return;
    dearer.set(
      stroke,
      Float64Array.from({ length: 6 }, (_, finger) => (finger === 0 || finger === digit ? 0 : worth)),
    );
  });
  return dearer;
}

function bits(fingers: readonly Finger[]): number {
  return fingers.reduce((mask, finger) => mask | (1 << finger), 0);
}

/** Strain that the terms add to each candidate of an onset; null where they add none. */
export function addedTo({ dearer }: Terms, candidates: readonly Candidate[], { struck }: Onset): Float64Array | null {
  if (dearer === undefined || !struck.some(({ index }) => dearer.has(index))) return null;
  return Float64Array.from(candidates, (candidate) =>
    candidate.struck.reduce((sum, { finger, stroke }) => sum + (dearer.get(stroke.index)?.[finger] ?? 0), 0),
  );
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
