"use client";

import { useHotkeys } from "react-hotkeys-hook";
import type { Finger } from "@/core/hand/finger";
import { PAGE_KEYS } from "../../ui/hotkeys";

export interface BenchGestures {
  /** From onset to onset. */
  step(by: 1 | -1): void;
  /** The stretch from the note in hand grows or shrinks by an onset. */
  stretch(by: 1 | -1): void;
  /** Between the notes of an onset, upwards or down. */
  within(by: 1 | -1): void;
  pin(finger: Finger): void;
  /** Pins the stretch as it stands. */
  pinStretch(): void;
  /** Rules a finger out on the note in hand, or allows it again. */
  ruleOut(finger: Finger): void;
  /** Lifts the pin, or all that is asked of the stretch. */
  lift(): void;
  leaveStretch(): void;
  tie(): void;
  /** The other hand takes the note in hand, or gives it back. */
  giveOver(): void;
  hear(): void;
  zoom(by: 1 | -1): void;
  walk(way: "undo" | "redo"): void;
  /** Arms a trial of the option in view, or ends it. */
  tryIt(): void;
  showKeys(): void;
}

/** What each key does, as the player reads it. */
export const BENCH_KEYS: readonly (readonly [string, string])[] = [
  ["→ ←", "to the next onset, to the one before"],
  ["↑ ↓", "to a higher or lower note of the onset, and to the other hand"],
  ["1 to 5", "pin that finger"],
  ["Backspace", "lift the pin"],
  ["Shift 1 to 5", "rule that finger out, or allow it again"],
  ["Shift → ←", "choose a stretch; then Enter pins it, T ties it, Backspace clears it, Escape leaves it"],
  ["T", "tie the figure to its returns, so that it keeps its fingers; again, untie it"],
  ["O", "the other hand takes the note, or gives it back"],
  ["H or Space", "hear it from here, or the stretch; again, stop"],
  ["Y", "try it; again, end it"],
  ["+ −", "larger, smaller"],
  ["Ctrl Z, Ctrl Shift Z", "undo, redo"],
  ["?", "these keys"],
];

/** Controls that have a use of their own for arrows, Enter and Space. */
const OWN_KEYS = "[role=radio],[role=tab],[role=slider],[role=dialog],[role=menu],a,button,select,summary";
const OWN_ARROWS = "[role=radio],[role=tab],[role=slider],[role=dialog],[role=menu],select";

function isOn(selector: string): (event: KeyboardEvent) => boolean {
  return (event) => event.target instanceof Element && event.target.closest(selector) !== null;
}

/** One gesture a thought: arrows walk, digits pin, with Shift they rule out, Backspace lifts. */
export function useBenchKeys(does: BenchGestures): void {
  const arrows = { ...PAGE_KEYS, ignoreEventWhen: isOn(OWN_ARROWS) };
  const pressing = { ...PAGE_KEYS, ignoreEventWhen: isOn(OWN_KEYS) };
  useHotkeys("right", () => does.step(1), arrows);
  useHotkeys("left", () => does.step(-1), arrows);
  useHotkeys("shift+right", () => does.stretch(1), arrows);
  useHotkeys("shift+left", () => does.stretch(-1), arrows);
  useHotkeys("up", () => does.within(1), arrows);
  useHotkeys("down", () => does.within(-1), arrows);
  useHotkeys("1,2,3,4,5", (event) => does.pin(Number(event.key) as Finger), PAGE_KEYS);
  useHotkeys(
    "shift+1,shift+2,shift+3,shift+4,shift+5",
    (event) => does.ruleOut(Number(event.code.slice(-1)) as Finger),
    PAGE_KEYS,
  );
  useHotkeys("backspace", does.lift, PAGE_KEYS);
  useHotkeys("enter", does.pinStretch, pressing);
  useHotkeys("escape", does.leaveStretch, {
    ...PAGE_KEYS,
    preventDefault: false,
    ignoreEventWhen: isOn("[role=dialog]"),
  });
  useHotkeys("t", does.tie, PAGE_KEYS);
  useHotkeys("o", does.giveOver, PAGE_KEYS);
  useHotkeys("h", does.hear, PAGE_KEYS);
  useHotkeys("y", does.tryIt, PAGE_KEYS);
  useHotkeys("space", does.hear, pressing);
  useHotkeys("equal,shift+equal,add", () => does.zoom(1), PAGE_KEYS);
  useHotkeys("minus,subtract", () => does.zoom(-1), PAGE_KEYS);
  useHotkeys("mod+z", () => does.walk("undo"), PAGE_KEYS);
  useHotkeys("mod+shift+z,mod+y", () => does.walk("redo"), PAGE_KEYS);
  useHotkeys("?", does.showKeys, { ...PAGE_KEYS, useKey: true });
}
