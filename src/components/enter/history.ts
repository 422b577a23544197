import type { EntryChanged, Cursor, Entry } from "@/core/entry/entry";

export type Walk = "undo" | "redo";

/** What was entered before, what stands, and what was undone. */
export interface History {
  readonly past: readonly EntryChanged[];
  readonly now: EntryChanged;
  readonly future: readonly EntryChanged[];
}

export type Making = (entry: Entry, cursor: Cursor) => EntryChanged;

export type HistoryStep =
  | { readonly kind: "change"; readonly made: EntryChanged }
  /** A change made of what stands when it comes to it, however many are waiting before it. */
  | { readonly kind: "make"; readonly making: Making }
  | { readonly kind: "go"; readonly cursor: (entry: Entry, cursor: Cursor) => Cursor }
  | { readonly kind: "walk"; readonly way: Walk }
  | { readonly kind: "complain"; readonly words: string };

/** A change can be undone; a refused one and a walk of the cursor leave nothing to undo. */
export function history(state: History, step: HistoryStep): History {
  const { past, now, future } = state;
  switch (step.kind) {
    case "change":
      if (step.made.entry === now.entry) return { ...state, now: step.made };
      return { past: [...past, now], now: step.made, future: [] };
    case "make":
      return history(state, { kind: "change", made: step.making(now.entry, now.cursor) });
    case "go":
      return { ...state, now: { ...now, cursor: step.cursor(now.entry, now.cursor), complaint: null } };
    case "complain":
      return { ...state, now: { ...now, complaint: step.words } };
    case "walk": {
      const to = step.way === "undo" ? past.at(-1) : future[0];
      if (!to) return state;
      return step.way === "undo"
        ? { past: past.slice(0, -1), now: { ...to, complaint: null }, future: [now, ...future] }
        : { past: [...past, now], now: { ...to, complaint: null }, future: future.slice(1) };
    }
  }
}
