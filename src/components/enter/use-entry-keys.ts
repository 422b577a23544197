"use client";

import { useHotkeys } from "react-hotkeys-hook";
import type { Base } from "@/core/entry/length";
import { PAGE_KEYS } from "../ui/hotkeys";

export interface EntryGestures {
  length(base: Base): void;
  dot(): void;
  tuplet(): void;
  note(letter: string): void;
  rest(): void;
  chord(): void;
  tie(): void;
  respell(): void;
  semitone(by: 1 | -1): void;
  steps(by: number): void;
  remove(): void;
  walk(by: 1 | -1): void;
  voice(): void;
  hand(): void;
  insertBar(): void;
  removeBar(): void;
  undo(): void;
  redo(): void;
}

/** The length each key gives: the last figure of the fraction it is. */
export const LENGTH_KEYS: readonly (readonly [string, Base, string])[] = [
  ["1", 1, "whole"],
  ["2", 2, "half"],
  ["4", 4, "quarter"],
  ["8", 8, "eighth"],
  ["6", 16, "sixteenth"],
  ["3", 32, "thirty-second"],
];

/** What each key does, as the player reads it. */
export const ENTRY_KEYS: readonly (readonly [string, string])[] = [
  ["1 2 4 8 6 3", "whole, half, quarter, eighth, sixteenth, thirty-second; of a note chosen on the score, its length"],
  [".", "dotted or not"],
  ["T", "triplet, five, six, seven, plain again"],
  ["A to G", "that note, nearest to the one before"],
  ["R", "a rest"],
  ["K", "keys go to the chord before the cursor, or follow one another again"],
  ["L", "tie the note before the cursor to the next"],
  ["N", "write it another way: sharp, flat"],
  ["+ −", "a semitone up, down"],
  ["↑ ↓", "a step up, down; with Shift an octave"],
  ["← →", "the cursor back, forth"],
  ["Backspace", "take the note before the cursor out"],
  ["H", "the other hand"],
  ["V", "the other voice of the hand"],
  ["I, X", "a bar after this one; take this bar out"],
  ["Ctrl Z, Ctrl Shift Z", "undo, redo"],
];

const OWN_ARROWS = "[role=radio],select";

/** Everything that entering needs, by key. */
export function useEntryKeys(does: EntryGestures): void {
  const arrows = {
    ...PAGE_KEYS,
    ignoreEventWhen: (event: KeyboardEvent) => event.target instanceof Element && !!event.target.closest(OWN_ARROWS),
  };
  useHotkeys(
    LENGTH_KEYS.map(([key]) => key),
    (event) => {
      const found = LENGTH_KEYS.find(([key]) => key === event.key);
      if (found) does.length(found[1]);
    },
    PAGE_KEYS,
  );
  useHotkeys("a,b,c,d,e,f,g", (event) => does.note(event.key.toUpperCase()), PAGE_KEYS);
  useHotkeys("period", does.dot, PAGE_KEYS);
  useHotkeys("t", does.tuplet, PAGE_KEYS);
  useHotkeys("r", does.rest, PAGE_KEYS);
  useHotkeys("k", does.chord, PAGE_KEYS);
  useHotkeys("l", does.tie, PAGE_KEYS);
  useHotkeys("n", does.respell, PAGE_KEYS);
  useHotkeys("equal,shift+equal,add", () => does.semitone(1), PAGE_KEYS);
  useHotkeys("minus,subtract", () => does.semitone(-1), PAGE_KEYS);
  useHotkeys("up", () => does.steps(1), arrows);
  useHotkeys("down", () => does.steps(-1), arrows);
  useHotkeys("shift+up", () => does.steps(7), arrows);
  useHotkeys("shift+down", () => does.steps(-7), arrows);
  useHotkeys("left", () => does.walk(-1), arrows);
  useHotkeys("right", () => does.walk(1), arrows);
  useHotkeys("backspace", does.remove, PAGE_KEYS);
  useHotkeys("v", does.voice, PAGE_KEYS);
  useHotkeys("h", does.hand, PAGE_KEYS);
  useHotkeys("i", does.insertBar, PAGE_KEYS);
  useHotkeys("x", does.removeBar, PAGE_KEYS);
  useHotkeys("mod+z", does.undo, PAGE_KEYS);
  useHotkeys("mod+shift+z,mod+y", does.redo, PAGE_KEYS);
}
