"use client";

import { useCallback, useMemo } from "react";
import type { Side } from "@/core/hand/finger";
import type { NoteId } from "@/core/passage/note";
import { handOf, type Passage } from "@/core/passage/passage";

/** The hand that plays each note. */
export function useSideOf(passage: Passage): (note: NoteId) => Side {
  const sides = useMemo(() => new Map(passage.notes.map((n) => [n.id, handOf(n, passage)])), [passage]);
  return useCallback((note) => sides.get(note) ?? "right", [sides]);
}
