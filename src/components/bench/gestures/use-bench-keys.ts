"use client";

import { useHotkeys } from "react-hotkeys-hook";
import type { Finger } from "@/core/hand/finger";

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
  const options = { preventDefault: true } as const;
  const arrows = { ...options, ignoreEventWhen: isOn(OWN_ARROWS) };
  const pressing = { ...options, ignoreEventWhen: isOn(OWN_KEYS) };
  useHotkeys("right", () => does.step(1), arrows);
  useHotkeys("left", () => does.step(-1), arrows);
  useHotkeys("shift+right", () => does.stretch(1), arrows);
  useHotkeys("shift+left", () => does.stretch(-1), arrows);
  useHotkeys("up", () => does.within(1), arrows);
  useHotkeys("down", () => does.within(-1), arrows);
  useHotkeys("1,2,3,4,5", (event) => does.pin(Number(event.key) as Finger), options);
  useHotkeys(
    "shift+1,shift+2,shift+3,shift+4,shift+5",
    (event) => does.ruleOut(Number(event.code.slice(-1)) as Finger),
    options,
  );
  useHotkeys("backspace", does.lift, options);
  useHotkeys("enter", does.pinStretch, pressing);
  useHotkeys("escape", does.leaveStretch, { ignoreEventWhen: isOn("[role=dialog]") });
  useHotkeys("t", does.tie, options);
  useHotkeys("o", does.giveOver, options);
  useHotkeys("h", does.hear, options);
  useHotkeys("y", does.tryIt, options);
  useHotkeys("space", does.hear, pressing);
  useHotkeys("equal,shift+equal,add", () => does.zoom(1), options);
  useHotkeys("minus,subtract", () => does.zoom(-1), options);
  useHotkeys("mod+z", () => does.walk("undo"), options);
  useHotkeys("mod+shift+z,mod+y", () => does.walk("redo"), options);
  useHotkeys("?", does.showKeys, { ...options, useKey: true });
}
