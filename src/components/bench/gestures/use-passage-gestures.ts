"use client";

import type { Finger, Side } from "@/core/hand/finger";
import type { NoteId } from "@/core/passage/note";
import type { Redistribution } from "@/core/passage/passage";
import type { Player } from "../../playing/use-player";
import type { PassageInHand } from "../use-passage-in-hand";
import type { StretchInHand } from "./use-stretch";
import { useTie } from "./use-tie";
import { noticeWithUndo } from "../../keeping/notice-with-undo";

/** What gestures do to the passage in hand: to the note in hand, or to the stretch chosen. */
export function usePassageGestures(
  { held, inHand, view, inView, note, at, figures }: PassageInHand,
  stretch: StretchInHand,
  player: Player,
  sideOf: (note: NoteId) => Side,
) {
  const tie = useTie(figures.figures, view.notes, inHand);
  const optionId = inView?.option.id;
  const hasStretch = stretch.notes.length > 0;
  const does = {
    pin(finger: Finger | null, on: NoteId | null = note): void {
      if (optionId && on) held.pin(optionId, on, finger);
    },
    ruleOut(finger: Finger): void {
      if (optionId && note) held.ruleOut(optionId, note, finger);
    },
    walk(way: "undo" | "redo"): void {
      if (optionId) held.walk(optionId, way);
    },
    pinStretch(): void {
      if (optionId && hasStretch) held.pinStretch(optionId, stretch.notes);
    },
    clearStretch(): void {
      if (optionId && hasStretch) held.clearStretch(optionId, stretch.notes);
    },
    tie(): void {
      if (note) tie.toggle(stretch.notes, note);
    },
    hear(): void {
      if (hasStretch) player.toggle(stretch.from, stretch.to);
      else player.toggle(Math.max(0, at), view.steps.length - 1);
    },
    giveOver(): void {
      const notes = hasStretch ? stretch.notes : note ? [note] : [];
      const before = inHand.taken;
      const after = givenOver(before, notes, sideOf);
      const other = notes[0] && sideOf(notes[0]) === "right" ? "left" : "right";
      void inHand.take(after);
      const said = notes.some((id) => id in after) ? `The ${other} hand takes it.` : "As written again.";
      noticeWithUndo(said, () => inHand.takeBackTaken({ before, after }));
    },
  };
  return { does, isTied: note !== null && tie.tieWith(stretch.notes[0] ?? note) !== undefined };
}

/** Notes go over to the other hand than plays them now; those that are taken already go back. */
function givenOver(taken: Redistribution, notes: readonly NoteId[], sideOf: (note: NoteId) => Side): Redistribution {
  const isTaken = notes.some((id) => id in taken);
  const rest = Object.fromEntries(
    Object.entries(taken).filter(([id]) => !notes.includes(id as NoteId)),
  ) as Redistribution;
  if (isTaken) return rest;
  return { ...rest, ...Object.fromEntries(notes.map((id) => [id, sideOf(id) === "right" ? "left" : "right"])) };
}
