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
  const options = { enabled: isOn, preventDefault: true, ignoreEventWhen: isForItself };
  useHotkeys("space, enter, pagedown", onGood, options);
  useHotkeys("backspace, pageup", onBad, options);
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

/** What is pressed by space or Enter. */
const PRESSED = "button, a, summary, [role=radio]";

/** Whether a key is meant for what has the focus: a button that is walked to by keys is pressed by them. */
function isForItself({ key, target }: KeyboardEvent): boolean {
  const presses = key === " " || key === "Enter";
  return presses && target instanceof Element && target.closest(PRESSED) !== null;
}

/** What was clicked with a mouse or a finger gives the keys back: a foot switch counts plays, and does not press it again. */
export function leaveToKeys({ detail }: { readonly detail: number }): void {
  const { activeElement } = document;
  if (detail > 0 && activeElement instanceof HTMLElement && activeElement.matches(PRESSED)) activeElement.blur();
}
