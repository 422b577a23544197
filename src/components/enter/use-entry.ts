"use client";

import { useMemo, useReducer } from "react";
import type { EntryChanged, Cursor, Entry } from "@/core/entry/entry";
import { history, type History, type Making, type Walk } from "./history";
import { NEW_ENTRY } from "./new-entry";
import { useEntryKept, type Begun, type EntryKept } from "./use-entry-kept";

export interface EntryInHand extends EntryKept {
  readonly entry: Entry;
  readonly cursor: Cursor;
  readonly complaint: string | null;
  readonly canUndo: boolean;
  readonly canRedo: boolean;
  change(making: Making): void;
  go(to: (entry: Entry, cursor: Cursor) => Cursor): void;
  walk(way: Walk): void;
}

const START: Cursor = { bar: 0, voice: 0, at: 0 };
const BLANK: EntryChanged = { entry: NEW_ENTRY, cursor: START, complaint: null };

/** Music being entered by a player: every change can be undone, stands in the browser at once and on the server soon after. */
export function useEntry(playerId: string, begun: Begun): EntryInHand {
  const [state, dispatch] = useReducer(history, begun, ({ entry }): History => ({
    past: [],
    now: { ...BLANK, entry: entry ?? NEW_ENTRY },
    future: [],
  }));
  const page = useMemo(
    () => ({
      show: (entry: Entry) => dispatch({ kind: "change", made: { ...BLANK, entry } }),
      complain: (words: string) => dispatch({ kind: "complain", words }),
    }),
    [],
  );
  const kept = useEntryKept(playerId, begun, state.now.entry, page);
  return {
    ...kept,
    ...state.now,
    canUndo: state.past.length > 0,
    canRedo: state.future.length > 0,
    change: (making) => dispatch({ kind: "make", making }),
    go: (cursor) => dispatch({ kind: "go", cursor }),
    walk: (way) => dispatch({ kind: "walk", way }),
  };
}
