"use client";

import { useCallback, useEffect, useMemo, useState } from "react";
import type { Pitch } from "@/core/keyboard/pitch";
import { midiPianos } from "./midi-piano";
import { screenPiano, type PianoInput, type ScreenPiano } from "./piano-input";

export interface PianoHeard {
  readonly screen: ScreenPiano;
  /** The piano listened to beside the keyboard on the screen; null where none is connected. */
  readonly connected: PianoInput | null;
  /** Keys that are down now, lowest first. */
  readonly down: readonly Pitch[];
  /** Why no piano could be connected. */
  readonly complaint: string | null;
  connect(): void;
  clear(): void;
}

/** Listens to the keyboard on the screen, and to a MIDI piano once it is connected. */
export function usePiano(): PianoHeard {
  const screen = useMemo(() => screenPiano(), []);
  const [connected, setConnected] = useState<PianoInput | null>(null);
  const [complaint, setComplaint] = useState<string | null>(null);
  const [down, setDown] = useState<readonly Pitch[]>([]);
  useEffect(() => {
    const ends = [screen, connected].flatMap((piano) =>
      piano
        ? [
            piano.listen(({ key, down: isDown }) =>
              setDown((now) => [...now.filter((k) => k !== key), ...(isDown ? [key] : [])].sort((a, b) => a - b)),
            ),
          ]
        : [],
    );
    return () => ends.forEach((end) => end());
  }, [screen, connected]);
  const connect = useCallback(() => {
    midiPianos().then(
      ([first]) => {
        setConnected(first ?? null);
        setComplaint(first ? null : "No MIDI piano is connected. The keyboard on the screen works in its place.");
      },
      (error: Error) => setComplaint(error.message),
    );
  }, []);
  const clear = useCallback(() => setDown([]), []);
  return { screen, connected, down, complaint, connect, clear };
}
