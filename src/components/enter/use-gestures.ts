"use client";

import { useCallback, useEffect, useRef, useState } from "react";
import {
  insertBar,
  moveBySemitones,
  moveBySteps,
  put,
  remove,
  removeBar,
  respell,
  setLength,
  toggleKey,
  toggleTie,
  toVoice,
  walk,
} from "@/core/entry/changes";
import { itemsAt, type Changed, type Cursor, type Entry, type VoiceIndex } from "@/core/entry/entry";
import { TUPLETS, type Base, type Length } from "@/core/entry/length";
import { keyOf, nearestKey } from "@/core/entry/spelling";
import type { PianoInput } from "../piano/piano-input";
import type { EntryInHand } from "./use-entry";
import type { EntryGestures } from "./use-entry-keys";

/** Middle C, to which the first note of a hand lies nearest. */
const FIRST: Record<"right" | "left", number> = { right: 67, left: 50 };
const QUARTER: Length = { base: 4, dotted: false, tuplet: null };

export interface Entering extends EntryGestures {
  /** The length that the next note gets. */
  readonly next: Length;
  /** Whether keys go to the chord before the cursor. */
  readonly chording: boolean;
  /** Whether lengths are given to the note before the cursor. */
  readonly editing: boolean;
  readonly setNext: (length: Length) => void;
  /** The cursor goes behind a note to edit it. */
  choose(cursor: Cursor): void;
  /** Keys struck together. */
  strike(keys: readonly number[]): void;
}

/** What keys, buttons and the piano do to the music in hand. */
export function useGestures(inHand: EntryInHand): Entering {
  const { entry, cursor, change, go } = inHand;
  const [next, setNext] = useState<Length>(QUARTER);
  const [chording, setChording] = useState(false);
  const [editing, setEditing] = useState(false);
  const make = (making: (entry: Entry, cursor: Cursor) => Changed): void => change(making(entry, cursor));
  /** A new length is that of the note before the cursor too, while that is edited. */
  const lengthen = (length: Length): void => {
    setNext(length);
    if (editing && cursor.at > 0) make((e, c) => setLength(e, c, length));
  };
  /** A note chosen on the score is edited; so is one walked to within a bar, but at its end the next one is meant. */
  const goTo = (to: Cursor, isChosen: boolean): void => {
    setEditing(isChosen || to.at < itemsAt(entry, to).length);
    go(to);
  };
  const strike = (keys: readonly number[]): void => {
    setEditing(false);
    if (chording && keys.length === 1 && cursor.at > 0) return make((e, c) => toggleKey(e, c, keys[0]!));
    make((e, c) => put(e, c, keys, next, named));
  };
  const toOther = (voice: VoiceIndex): void => goTo(toVoice(entry, cursor, voice), false);
  return {
    next,
    chording,
    setNext: lengthen,
    strike,
    length: (base: Base) => lengthen({ ...next, base }),
    dot: () => lengthen({ ...next, dotted: !next.dotted }),
    tuplet: () => lengthen({ ...next, tuplet: followingTuplet(next) }),
    note: (letter) => strike([nearestKey(letter, entry.fifths, lastKey(entry, cursor))]),
    editing,
    choose: (to) => goTo(to, true),
    rest() {
      setEditing(false);
      make((e, c) => put(e, c, [], next, named));
    },
    chord: () => setChording(!chording),
    tie: () => make(toggleTie),
    respell: () => make(respell),
    semitone: (by) => make((e, c) => moveBySemitones(e, c, by)),
    steps: (by) => make((e, c) => moveBySteps(e, c, by)),
    remove: () => make(remove),
    walk: (by) => goTo(walk(entry, cursor, by), false),
    voice: () => toOther((cursor.voice % 2 === 0 ? cursor.voice + 1 : cursor.voice - 1) as VoiceIndex),
    hand: () => toOther(((cursor.voice + 2) % 4) as VoiceIndex),
    insertBar: () => make(insertBar),
    removeBar: () => make(removeBar),
    undo: () => inHand.walk("undo"),
    redo: () => inHand.walk("redo"),
  };
}

/** A name for an item, its own among all of a piece. */
function named(): string {
  return crypto.randomUUID().slice(0, 13);
}

function followingTuplet({ tuplet }: Length): Length["tuplet"] {
  if (tuplet === null) return TUPLETS[0];
  return TUPLETS[TUPLETS.findIndex(([count]) => count === tuplet[0]) + 1] ?? null;
}

/** The highest key of the last note before the cursor in its voice. */
function lastKey(entry: Entry, cursor: Cursor): number {
  for (let bar = cursor.bar; bar >= 0; bar--) {
    const items = itemsAt(entry, { bar, voice: cursor.voice }).slice(0, bar === cursor.bar ? cursor.at : undefined);
    const last = items.findLast((item) => item.pitches.length > 0);
    if (last) return keyOf(last.pitches.at(-1)!);
  }
  return FIRST[cursor.voice < 2 ? "right" : "left"];
}

/** Listens to a connected piano: keys held together are struck together, when the last of them is let go. */
export function useStruck(piano: PianoInput | null, strike: (keys: readonly number[]) => void): void {
  const newest = useRef(strike);
  useEffect(() => {
    newest.current = strike;
  }, [strike]);
  const listen = useCallback((from: PianoInput) => {
    const down = new Set<number>();
    const struck = new Set<number>();
    return from.listen(({ key, down: isDown }) => {
      if (isDown) {
        down.add(key);
        struck.add(key);
        return;
      }
      down.delete(key);
      if (down.size > 0 || struck.size === 0) return;
      newest.current([...struck].sort((a, b) => a - b));
      struck.clear();
    });
  }, []);
  useEffect(() => (piano ? listen(piano) : undefined), [piano, listen]);
}
