"use client";

import { toast } from "sonner";
import { tieOf, type ChosenTie } from "@/core/figures/chosen";
import { takesSameFingers, type Figure } from "@/core/figures/figure";
import type { Note, NoteId } from "@/core/passage/note";
import { placeText } from "@/core/passage/place";
import { fingeringWorker } from "@/worker/clients";
import type { WishesInHand } from "../../build/use-wishes";
import { noticeWithUndo } from "../../keeping/notice-with-undo";

export interface TieInHand {
  /** The tie that holds a note, if any. */
  tieWith(note: NoteId): ChosenTie | undefined;
  /** Ties a stretch, or without one the figure that a note is in, to its returns; unties what is tied. */
  toggle(stretch: readonly NoteId[], note: NoteId): void;
}

/** Figures that the player ties so that they keep their fingers. */
export function useTie(
  figures: readonly Figure[] | null,
  notes: readonly Note[],
  { wishes, setWishes, takeBackWishes }: Pick<WishesInHand, "wishes" | "setWishes" | "takeBackWishes">,
): TieInHand {
  const ties = wishes.ties ?? [];
  const tieWith = (note: NoteId): ChosenTie | undefined =>
    ties.find((tie) => tie.notes.includes(note) || tie.returns.some((r) => r.includes(note)));
  const set = (after: readonly ChosenTie[], words: string): void => {
    const change = { before: wishes, after: { ...wishes, ties: after } };
    setWishes(change.after);
    noticeWithUndo(words, () => takeBackWishes(change));
  };
  const tie = (figure: Figure | null): void => {
    const returns = figure?.returns.filter(takesSameFingers) ?? [];
    if (!figure || returns.length === 0) return void toast("Nothing in the passage answers these notes.");
    const where = returns.map(({ notes: [first] }) => {
      const found = notes.find((n) => n.id === first);
      return found ? placeText(found.bar, found.beat) : "";
    });
    set([...ties, tieOf({ ...figure, returns })], `Tied to ${where.join("; ")}: the same fingers there.`);
  };
  return {
    tieWith,
    toggle(stretch, note) {
      const known = tieWith(stretch[0] ?? note);
      if (known)
        return set(
          ties.filter((other) => other !== known),
          "Untied.",
        );
      if (stretch.length > 0) return void fingeringWorker().chosenFigure(stretch).then(tie);
      const found = figures?.find((f) => f.notes.includes(note) || f.returns.some((r) => r.notes.includes(note)));
      if (found) return tie(found);
      toast("No figure that returns holds this note. Choose a stretch with Shift and the arrows.");
    },
  };
}
