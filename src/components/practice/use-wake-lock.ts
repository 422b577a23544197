"use client";

import { useEffect } from "react";

/** Keeps the screen awake while the page is looked at from a music desk; where the browser cannot, nothing happens. */
export function useWakeLock(isOn: boolean): void {
  useEffect(() => {
    if (!isOn || !("wakeLock" in navigator)) return;
    let lock: WakeLockSentinel | null = null;
    let isWanted = true;
    const ask = (): void => {
      if (document.visibilityState !== "visible") return;
      navigator.wakeLock.request("screen").then(
        (found) => {
          if (isWanted) lock = found;
          else void found.release();
        },
        // A browser that saves its battery says no: the screen goes dark as it always does.
        () => undefined,
      );
    };
    ask();
    // A lock ends when the page is left for another, and is asked for again when it is looked at.
    document.addEventListener("visibilitychange", ask);
    return () => {
      isWanted = false;
      document.removeEventListener("visibilitychange", ask);
      void lock?.release();
    };
  }, [isOn]);
}
