"use client";

import { useCallback, useEffect, useRef, useState } from "react";
import { clickRound } from "@/core/practice/click";
import { clickAt } from "@/core/practice/ladder";
import type { Schedule } from "../playing/schedule";
import { startPlaying, type Playing } from "../playing/sound";

export interface ClickInHand {
  readonly isOn: boolean;
  /** Softer clicks between, and silent bars after each bar that is heard. */
  readonly parts: number;
  readonly silent: number;
  toggle(): void;
  divide(parts: number): void;
  silence(bars: number): void;
}

/** Clicks of a bar, and bars that are counted in. */
const BAR = 4;
const COUNTED_IN = 1;

/** The click of the ladder: on until it is stopped, going with the tempo. @param tempo quarter notes a minute */
export function useClick(tempo: number): ClickInHand {
  const [isOn, setOn] = useState(false);
  const [parts, divide] = useState(1);
  const [silent, silence] = useState(0);
  const playing = useRef<Playing | null>(null);
  const now = useRef(tempo);
  const { quarters } = clickAt(tempo);
  useEffect(() => {
    now.current = tempo;
    // The same clicks faster or slower go on without a seam.
    playing.current?.setTempo(tempo);
  }, [tempo]);
  useEffect(() => {
    if (!isOn) return;
    let isWanted = true;
    const round = clickRound({ tempo: now.current, bar: BAR, parts, silent, countIn: COUNTED_IN });
    const schedule: Schedule = {
      events: round.clicks.map(({ at, weight }) => ({
        kind: "click",
        at,
        strong: weight === "bar",
        soft: weight === "part",
      })),
      start: round.start,
      end: round.end,
    };
    void startPlaying(
      schedule,
      () => now.current,
      true,
      () => undefined,
      () => isWanted,
    ).then((found) => {
      if (isWanted) playing.current = found;
      else found?.stop();
    });
    return () => {
      isWanted = false;
      playing.current?.stop();
      playing.current = null;
    };
  }, [isOn, parts, silent, quarters]);
  const toggle = useCallback(() => setOn((is) => !is), []);
  return { isOn, parts, silent, toggle, divide, silence };
}
