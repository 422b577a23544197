"use client";

import { parseAsString, useQueryState } from "nuqs";
import type { NoteId } from "@/core/passage/note";

/** The doubtful note that is looked at, on the score and in the list of doubts. */
export function useDoubtInHand(): { readonly note: NoteId | null; readonly take: (note: NoteId) => void } {
  const [note, setNote] = useQueryState("note", parseAsString);
  return { note: note as NoteId | null, take: (next) => void setNote(next) };
}
