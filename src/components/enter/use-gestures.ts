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
import { itemsAt, type Cursor, type Entry, type VoiceIndex } from "@/core/entry/entry";
import { TUPLETS, type Base, type Length } from "@/core/entry/length";
import { keyOf, nearestKey } from "@/core/entry/spelling";
import type { PianoInput } from "../piano/piano-input";
import type { EntryInHand } from "./use-entry";
import type { EntryGestures } from "./use-entry-keys";
import { newId } from "../new-id";

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
  /** The cursor goes behind a note to edit it. */
  choose(cursor: Cursor): void;
  /** Keys struck together. */
  strike(keys: readonly number[]): void;
}

/** What the next note is written with. */
interface Pen {
  readonly next: Length;
  readonly chording: boolean;
  readonly editing: boolean;
}

/** What keys, buttons and the piano do to the music in hand; keys that come faster than the page is drawn lose nothing. */
export function useGestures(inHand: EntryInHand): Entering {
  const { entry, change, go } = inHand;
  const pen = useRef<Pen>({ next: QUARTER, chording: false, editing: false });
  const [shown, setShown] = useState<Pen>({ next: QUARTER, chording: false, editing: false });
  const setPen = (part: Partial<Pen>): void => {
    pen.current = { ...pen.current, ...part };
    setShown(pen.current);
  };
  /** A new length is that of the note before the cursor too, while that is edited. */
  const lengthen = (part: Partial<Length>): void => {
    const length = { ...pen.current.next, ...part };
    setPen({ next: length });
    if (pen.current.editing)
      change((e, c) => (c.at > 0 ? setLength(e, c, length) : { entry: e, cursor: c, complaint: null }));
  };
  const write = (keys: (entry: Entry, cursor: Cursor) => readonly number[]): void => {
    const { next, chording } = pen.current;
    const prefix = named();
    setPen({ editing: false });
    change((e, c) => {
      const struck = keys(e, c);
      if (chording && struck.length === 1 && c.at > 0) return toggleKey(e, c, struck[0]!);
      let count = 0;
      return put(e, c, struck, next, () => `${prefix}.${count++}`);
    });
  };
  const toOther = (voice: (of: VoiceIndex) => number): void => {
    setPen({ editing: false });
    go((e, c) => toVoice(e, c, voice(c.voice) as VoiceIndex));
  };
  return {
    ...shown,
    strike: (keys) => write(() => keys),
    length: (base: Base) => lengthen({ base }),
    dot: () => lengthen({ dotted: !pen.current.next.dotted }),
    tuplet: () => lengthen({ tuplet: followingTuplet(pen.current.next) }),
    note: (letter) => write((e, c) => [nearestKey(letter, e.fifths, lastKey(e, c))]),
    rest() {
      setPen({ chording: false });
      write(() => []);
    },
    /** A note chosen on the score is edited. */
    choose(to) {
      setPen({ editing: true });
      go(() => to);
    },
    chord: () => setPen({ chording: !pen.current.chording }),
    tie: () => change(toggleTie),
    respell: () => change(respell),
    semitone: (by) => change((e, c) => moveBySemitones(e, c, by)),
    steps: (by) => change((e, c) => moveBySteps(e, c, by)),
    remove: () => change(remove),
    /** A note walked to within a bar is edited; at the end of a bar the next one is meant. */
    walk(by) {
      const to = walk(entry, inHand.cursor, by);
      setPen({ editing: to.at < itemsAt(entry, to).length });
      go((e, c) => walk(e, c, by));
    },
    voice: () => toOther((of) => (of % 2 === 0 ? of + 1 : of - 1)),
    hand: () => toOther((of) => (of + 2) % 4),
    insertBar: () => change(insertBar),
    removeBar: () => change(removeBar),
    undo: () => inHand.walk("undo"),
    redo: () => inHand.walk("redo"),
  };
}

/** A name for an item, its own among all of a piece. */
function named(): string {
  return newId().slice(0, 13);
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
