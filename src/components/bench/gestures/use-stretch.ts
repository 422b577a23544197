"use client";

import { useCallback, useMemo, useState } from "react";
import { handOf } from "@/core/passage/passage";
import type { NoteId } from "@/core/passage/note";
import type { PassageView } from "../../passage-in-hand/use-view";
import { stepOf } from "../../passage-in-hand/words";

/** A stretch of notes chosen together. */
interface Stretch {
  /** In the order of the music; none where nothing is chosen together. */
  readonly notes: readonly NoteId[];
  /** Places of its first and last step. */
  readonly from: number;
  readonly to: number;
}

export interface StretchInHand extends Stretch {
  readonly set: ReadonlySet<NoteId>;
  /** Chooses to a step from a note, or else from where the stretch began, or from the note in hand. */
  extend(to: number, from?: NoteId): void;
  clear(): void;
}

/** The stretch from where Shift was first held to the note in hand: the notes of that note's hand. */
export function useStretch({ steps, study }: PassageView, note: NoteId | null): StretchInHand {
  const [ends, setEnds] = useState<{ readonly anchor: NoteId; readonly to: number } | null>(null);
  const found = useMemo((): Stretch => {
    const anchor = ends ? stepOf(steps, ends.anchor) : -1;
    if (!ends || anchor < 0) return { notes: [], from: -1, to: -1 };
    const { passage } = study;
    const hand = passage.notes.find((n) => n.id === ends.anchor)!;
    const own = new Set(passage.notes.filter((n) => handOf(n, passage) === handOf(hand, passage)).map((n) => n.id));
    const [from, to] = [Math.min(anchor, ends.to), Math.max(anchor, ends.to)];
    return { notes: steps.slice(from, to + 1).flatMap((s) => s.notes.filter((id) => own.has(id))), from, to };
  }, [ends, steps, study]);
  const set = useMemo(() => new Set(found.notes), [found]);
  const last = steps.length - 1;
  const extend = useCallback(
    (to: number, from?: NoteId) => {
      if (note) setEnds((now) => ({ anchor: from ?? now?.anchor ?? note, to: Math.min(last, Math.max(0, to)) }));
    },
    [note, last],
  );
  const clear = useCallback(() => setEnds(null), []);
  return useMemo(() => ({ ...found, set, extend, clear }), [found, set, extend, clear]);
}
