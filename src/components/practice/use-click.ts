"use client";

import { useCallback, useEffect, useRef, useState } from "react";
import { toast } from "sonner";
import { clickBar, placeAfter, type ClickBar } from "@/core/practice/click";
import { startClick } from "../playing/click-sound";

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
  const playing = useRef<Sounding | null>(null);
  const asked = useRef({ tempo, parts, silent });
  useEffect(() => {
    asked.current = { tempo, parts, silent };
    // The same clicks at once faster or slower; other clicks from the next bar on.
    playing.current?.setTempo(tempo);
  }, [tempo, parts, silent]);
  useEffect(() => {
    if (!isOn) return;
    let isWanted = true;
    let place = -COUNTED_IN;
    const next = (): ClickBar => {
      const bar = clickBar({ ...asked.current, bar: BAR }, place);
      place = placeAfter(place, asked.current.silent);
      return bar;
    };
    startClick(
      next,
      () => asked.current.tempo,
      () => isWanted,
      // Something else is heard: the click does not say that it goes on.
      () => setOn(false),
    ).then(
      (found) => {
        if (isWanted) playing.current = found;
        else found?.stop();
      },
      (error: unknown) => {
        if (!isWanted) return;
        setOn(false);
        toast.error(`The click cannot be heard: ${error instanceof Error ? error.message : String(error)}`);
      },
    );
    return () => {
      isWanted = false;
      playing.current?.stop();
      playing.current = null;
    };
  }, [isOn]);
  const toggle = useCallback(() => setOn((is) => !is), []);
  return { isOn, parts, silent, toggle, divide, silence };
}

type Sounding = NonNullable<Awaited<ReturnType<typeof startClick>>>;
