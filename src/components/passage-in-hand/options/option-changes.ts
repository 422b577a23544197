import type { RuledOut } from "@/core/fingering/search/conditions";
import type { Fingering, Pins } from "@/core/fingering/study/fingering";
import type { Finger } from "@/core/hand/finger";
import type { NoteId } from "@/core/passage/note";
import type { OptionData } from "@/server/types";

type ChangeKind = "pin" | "lift" | "rule-out" | "allow" | "pin-stretch" | "clear-stretch";

/** What a gesture makes of an option, before the rest is worked out around it. */
export interface Made {
  readonly kind: ChangeKind;
  /** The note, or the first of a stretch. */
  readonly noteId: NoteId;
  readonly finger: Finger | null;
  readonly digits: Fingering;
  readonly pins: Pins;
  readonly ruledOut: RuledOut;
}

/** A finger pinned on a note. */
export function pinned({ digits, pins, ruledOut }: OptionData, noteId: NoteId, finger: Finger): Made {
  return {
    kind: "pin",
    noteId,
    finger,
    digits: { ...digits, [noteId]: finger },
    pins: { ...pins, [noteId]: finger },
    ruledOut,
  };
}

/** The pin of a note lifted; null where it has none. */
export function lifted({ digits, pins, ruledOut }: OptionData, noteId: NoteId): Made | null {
  if (!(noteId in pins)) return null;
  return { kind: "lift", noteId, finger: null, digits, pins: without(pins, [noteId]), ruledOut };
}

/** A finger ruled out on a note, or allowed again. */
export function ruled({ digits, pins, ruledOut }: OptionData, noteId: NoteId, finger: Finger): Made {
  const before = ruledOut[noteId] ?? [];
  const kind = before.includes(finger) ? "allow" : "rule-out";
  const after = kind === "allow" ? before.filter((f) => f !== finger) : [...before, finger];
  return { kind, noteId, finger, digits, pins, ruledOut: { ...ruledOut, [noteId]: after } };
}

/** All notes of a stretch pinned to the fingers they have; null where none has one. */
export function stretchPinned({ digits, pins, ruledOut }: OptionData, notes: readonly NoteId[]): Made | null {
  const played = notes.filter((id) => digits[id]);
  if (played.length === 0) return null;
  const added = Object.fromEntries(played.map((id) => [id, digits[id]])) as Pins;
  return { kind: "pin-stretch", noteId: played[0]!, finger: null, digits, pins: { ...pins, ...added }, ruledOut };
}

/** All pins and rule-outs of a stretch lifted; null where it has none. */
export function stretchCleared({ digits, pins, ruledOut }: OptionData, notes: readonly NoteId[]): Made | null {
  if (!notes.some((id) => id in pins || id in ruledOut)) return null;
  const left = { pins: without(pins, notes), ruledOut: without(ruledOut, notes) };
  return { kind: "clear-stretch", noteId: notes[0]!, finger: null, digits, ...left };
}

function without<T>(given: Readonly<Record<NoteId, T>>, notes: readonly NoteId[]): Readonly<Record<NoteId, T>> {
  return Object.fromEntries(Object.entries(given).filter(([id]) => !notes.includes(id as NoteId)));
}
