"use client";

import { useHotkeys } from "react-hotkeys-hook";
import type { Finger } from "@/core/hand/finger";

export interface BenchGestures {
  /** From onset to onset. */
  step(by: 1 | -1): void;
  /** Between the notes of an onset, upwards or down. */
  within(by: 1 | -1): void;
  pin(finger: Finger): void;
  lift(): void;
  walk(way: "undo" | "redo"): void;
}

/** One gesture a thought: arrows walk, digits pin, Backspace lifts. */
export function useBenchKeys({ step, within, pin, lift, walk }: BenchGestures): void {
  const options = { preventDefault: true } as const;
  useHotkeys("right", () => step(1), options);
  useHotkeys("left", () => step(-1), options);
  useHotkeys("up", () => within(1), options);
  useHotkeys("down", () => within(-1), options);
  useHotkeys("1,2,3,4,5", (event) => pin(Number(event.key) as Finger), options);
  useHotkeys("backspace", lift, options);
  useHotkeys("mod+z", () => walk("undo"), options);
  useHotkeys("mod+shift+z,mod+y", () => walk("redo"), options);
}
