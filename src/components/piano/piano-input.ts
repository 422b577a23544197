import type { Pitch } from "@/core/keyboard/pitch";

/** A key going down or coming up on a piano that the page listens to. */
export interface KeyMove {
  readonly key: Pitch;
  readonly down: boolean;
  /** By the device's own clock. */
  readonly ms: number;
  /** How hard it goes down, 1 to 127; 0 where it comes up. */
  readonly velocity: number;
}

/** The sustain pedal moving: 0 up to 127 down. */
export interface PedalMove {
  readonly ms: number;
  readonly value: number;
}

/** A piano whose keys can be heard: a connected one, the keyboard on the screen, or the simulated one that ships. */
export interface PianoInput {
  readonly name: string;
  /** Calls back at every move until the returned function is called. */
  listen(heard: (move: KeyMove) => void, pedalled?: (move: PedalMove) => void): () => void;
}

/** Strength of a key pressed on the screen. */
const PRESSED = 64;

/** The keyboard on the screen. */
export interface ScreenPiano extends PianoInput {
  press(key: Pitch, down: boolean): void;
}

/** Its clock is the page's. */
export function screenPiano(): ScreenPiano {
  const listeners = new Set<(move: KeyMove) => void>();
  return {
    name: "Keyboard on the screen",
    listen(heard) {
      listeners.add(heard);
      return () => listeners.delete(heard);
    },
    press(key, down) {
      const move = { key, down, ms: performance.now(), velocity: down ? PRESSED : 0 };
      for (const heard of listeners) heard(move);
    },
  };
}
