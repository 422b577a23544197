"use client";

import { useCallback, useMemo, useState } from "react";
import type { OnsetExpected } from "@/core/trials/expected";
import type { TakeReport } from "@/core/trials/report";
import { nextSnip, snipAt, snipOf, type Snip, type SnipInHand } from "@/core/trials/snip";
import type { NoteId } from "@/core/passage/note";

export interface SnipHeld {
  /** What of the passage is played now; null for the whole. */
  readonly snip: Snip | null;
  /** Its notes, for the score. */
  readonly notes: ReadonlySet<NoteId>;
  /** How many onsets are played, of how many that were asked for. */
  readonly length: { readonly now: number; readonly asked: number } | null;
  /** What has just been made of it; null where nothing was. */
  readonly said: string | null;
  /** Takes some notes as a snip, from the first to the last of them. */
  take(notes: readonly NoteId[]): void;
  /** A note more, or a note fewer, by the player's own choice. */
  change(longer: boolean): void;
  /** What was played of it decides what comes next. */
  after(report: Pick<TakeReport, "clean" | "marks">): void;
  leave(): void;
}

/** Onsets to either side that a snip about one note takes in. */
const ABOUT_ONE = 2;

/** The few notes that are worked on by themselves: shortened until they go cleanly, then grown. */
export function useSnip(onsets: readonly OnsetExpected[]): SnipHeld {
  const [held, setHeld] = useState<SnipInHand | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  const placeOf = useCallback(
    (note: NoteId): number => onsets.findIndex(({ notes }) => notes.some((n) => n.notes.includes(note))),
    [onsets],
  );
  const take = useCallback(
    (notes: readonly NoteId[]): void => {
      const places = notes.map(placeOf).filter((place) => place >= 0);
      if (places.length === 0) return;
      const about = places.length === 1 ? ABOUT_ONE : 0;
      setHeld(snipAt({ from: Math.min(...places) - about, to: Math.max(...places) + about }, onsets.length));
      setSaid(null);
    },
    [placeOf, onsets],
  );
  const move = (isClean: boolean, failed: number | null): void => {
    if (!held) return;
    const next = nextSnip(held, isClean, failed);
    setHeld(next);
    const [was, is] = [lengthOf(held.now), lengthOf(next.now)];
    setSaid(
      is > was
        ? "A note more."
        : is < was
          ? "A note fewer."
          : isClean
            ? "All of it went cleanly."
            : "Two notes are left.",
    );
  };
  const isHere = held !== null && held.now.to < onsets.length;
  const notes = useMemo(
    () => new Set(held === null ? [] : onsets.slice(held.now.from, held.now.to + 1).flatMap(namesOf)),
    [held, onsets],
  );
  return {
    snip: isHere ? snipOf(onsets, held.now) : null,
    notes,
    length: isHere ? { now: lengthOf(held.now), asked: lengthOf(held.asked) } : null,
    said,
    take,
    change: (longer) => move(longer, null),
    after({ clean, marks }) {
      const failed = marks.map(({ note }) => placeOf(note)).find((place) => place >= 0);
      move(clean, failed ?? null);
    },
    leave: () => setHeld(null),
  };
}

function lengthOf({ from, to }: SnipInHand["now"]): number {
  return to - from + 1;
}

function namesOf({ notes }: OnsetExpected): readonly NoteId[] {
  return notes.flatMap((note) => note.notes);
}
