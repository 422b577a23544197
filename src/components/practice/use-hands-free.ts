"use client";

import { useEffect, useRef } from "react";
import { useHotkeys } from "react-hotkeys-hook";
import { KEYBOARD } from "@/core/physics";
import type { PianoInput } from "../piano/piano-input";

interface Asked {
  /** A connected MIDI piano; null for none. */
  readonly piano: PianoInput | null;
  readonly isOn: boolean;
  readonly onGood: () => void;
  readonly onBad: () => void;
}

/** ms for which nothing else must have been played before the pedal or the lowest key is a word and not music. */
const QUIET = 1000;
/** Value from which a pedal is down. */
const DOWN = 64;

/**
 * Says good and not good without the hands leaving the piano: space, Enter or Page Down, which foot switches type, or the MIDI
 * pedal; Backspace or Page Up, or the lowest key. Pedal and key count only in silence.
 */
export function useHandsFree({ piano, isOn, onGood, onBad }: Asked): void {
  useHotkeys("space, enter, pagedown", onGood, { enabled: isOn, preventDefault: true });
  useHotkeys("backspace, pageup", onBad, { enabled: isOn, preventDefault: true });
  const told = useRef({ onGood, onBad });
  useEffect(() => {
    told.current = { onGood, onBad };
  });
  useEffect(() => {
    if (!piano || !isOn) return;
    let last = -Infinity;
    let wasDown = false;
    return piano.listen(
      ({ key, down, ms }) => {
        if (down && key === KEYBOARD.lowestKey && ms - last > QUIET) told.current.onBad();
        last = ms;
      },
      ({ value, ms }) => {
        const isDown = value >= DOWN;
        if (isDown && !wasDown && ms - last > QUIET) told.current.onGood();
        wasDown = isDown;
      },
    );
  }, [piano, isOn]);
}
