import type { Pitch } from "@/core/keyboard/pitch";

/** A key going down or coming up on a piano that the page listens to. */
export interface KeyMove {
  readonly key: Pitch;
  readonly down: boolean;
}

/** A piano whose keys can be heard: a connected one, or the simulated one that ships. */
export interface PianoInput {
  readonly name: string;
  /** Calls back at every move until the returned function is called. */
  listen(heard: (move: KeyMove) => void): () => void;
}

/** The simulated piano: keys pressed on the screen. */
export interface SimulatedPiano extends PianoInput {
  move(move: KeyMove): void;
}

export function simulatedPiano(): SimulatedPiano {
  const listeners = new Set<(move: KeyMove) => void>();
  return {
    name: "Keyboard on the screen",
    listen(heard) {
      listeners.add(heard);
      return () => listeners.delete(heard);
    },
    move(move) {
      for (const heard of listeners) heard(move);
    },
  };
}
