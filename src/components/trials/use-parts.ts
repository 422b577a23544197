"use client";

import { useMemo } from "react";
import type { Figure } from "@/core/figures/figure";
import type { Side } from "@/core/hand/finger";
import type { NoteId } from "@/core/passage/note";
import { partsOf, type Part } from "@/core/trials/breaking-parts";

/** The hands and figures of a passage, each of which may break by itself. */
export function useParts(
  asked: readonly NoteId[],
  sideOf: (note: NoteId) => Side,
  figures: readonly Figure[] | null,
): readonly Part[] {
  return useMemo(() => {
    const notes = asked.map((id): readonly [NoteId, Side] => [id, sideOf(id)]);
    return partsOf(notes, figures ?? []);
  }, [asked, sideOf, figures]);
}
