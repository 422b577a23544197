"use client";

import { useEffect } from "react";

/** Asks before the window is closed, where something would be lost. @param wouldLose stays the same function */
export function useLeaveWarning(wouldLose: () => boolean): void {
  useEffect(() => {
    const warn = (event: BeforeUnloadEvent): void => {
      if (wouldLose()) event.preventDefault();
    };
    window.addEventListener("beforeunload", warn);
    return () => window.removeEventListener("beforeunload", warn);
  }, [wouldLose]);
}
