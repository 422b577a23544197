"use client";

import { useCallback, useEffect, useRef, useState } from "react";
import type { Schedule } from "./schedule";
import { startPlaying, type Playing } from "./sound";

/** Lets a schedule be heard, one at a time. */
export function useSounding() {
  const [isSounding, setSounding] = useState(false);
  const playing = useRef<Playing | null>(null);
  const begun = useRef(0);
  const stop = useCallback(() => {
    begun.current++;
    playing.current?.stop();
    playing.current = null;
    setSounding(false);
  }, []);
  useEffect(() => stop, [stop]);
  const sound = useCallback(
    (schedule: Schedule, tempo: number, onBegun?: (playing: Playing) => void) => {
      stop();
      const ticket = ++begun.current;
      setSounding(true);
      const isWanted = (): boolean => begun.current === ticket;
      const onEnd = (): void => void (isWanted() && stop());
      startPlaying(schedule, () => tempo, false, onEnd, isWanted).then((now) => {
        if (now === null) return;
        if (!isWanted()) return now.stop();
        playing.current = now;
        onBegun?.(now);
      }, onEnd);
    },
    [stop],
  );
  /** Quarter notes since it began to sound; null while nothing does. */
  const position = useCallback((): number | null => playing.current?.position() ?? null, []);
  return { sound, stop, isSounding, position };
}
