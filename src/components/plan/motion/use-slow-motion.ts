"use client";

import { useCallback, useEffect, useRef, useState } from "react";

export interface SlowMotionInHand {
  /** ms of the passage at which the hands are shown. */
  readonly ms: number;
  readonly running: boolean;
  /** Share of the tempo, 0.01 to 1. */
  readonly speed: number;
  setSpeed(speed: number): void;
  toggle(): void;
  /** Goes to a moment and stands there. */
  seek(ms: number): void;
}

/** A moment that runs through a passage at a share of its tempo; at the end it begins again. */
export function useSlowMotion(from: number, to: number): SlowMotionInHand {
  const [ms, setMs] = useState(from);
  const [running, setRunning] = useState(false);
  const [speed, setSpeed] = useState(0.25);
  const now = useRef(from);
  useEffect(() => {
    if (!running) return;
    let last = performance.now();
    let frame = requestAnimationFrame(function go(at) {
      const next = now.current + Math.max(0, at - last) * speed;
      last = at;
      now.current = next > to ? from : next;
      setMs(now.current);
      frame = requestAnimationFrame(go);
    });
    return () => cancelAnimationFrame(frame);
  }, [running, speed, from, to]);
  const seek = useCallback(
    (at: number) => {
      setRunning(false);
      now.current = Math.min(to, Math.max(from, at));
      setMs(now.current);
    },
    [from, to],
  );
  return { ms, running, speed, setSpeed, toggle: () => setRunning((was) => !was), seek };
}
