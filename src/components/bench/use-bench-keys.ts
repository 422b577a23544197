"use client";

import { useHotkeys } from "react-hotkeys-hook";
import type { Finger } from "@/core/hand/finger";

export interface BenchGestures {
  /** From onset to onset. */
  step(by: 1 | -1): void;
  /** Between the notes of an onset, upwards or down. */
  within(by: 1 | -1): void;
  pin(finger: Finger): void;
  /** Rules a finger out on the note in hand, or allows it again. */
  ruleOut(finger: Finger): void;
  lift(): void;
  walk(way: "undo" | "redo"): void;
}

/** One gesture a thought: arrows walk, digits pin, with Shift they rule out, Backspace lifts. */
export function useBenchKeys({ step, within, pin, ruleOut, lift, walk }: BenchGestures): void {
  const options = { preventDefault: true } as const;
  useHotkeys("right", () => step(1), options);
  useHotkeys("left", () => step(-1), options);
  useHotkeys("up", () => within(1), options);
  useHotkeys("down", () => within(-1), options);
  useHotkeys("1,2,3,4,5", (event) => pin(Number(event.key) as Finger), options);
  useHotkeys(
    "shift+1,shift+2,shift+3,shift+4,shift+5",
    (event) => ruleOut(Number(event.code.slice(-1)) as Finger),
    options,
  );
  useHotkeys("backspace", lift, options);
  useHotkeys("mod+z", () => walk("undo"), options);
  useHotkeys("mod+shift+z,mod+y", () => walk("redo"), options);
}
