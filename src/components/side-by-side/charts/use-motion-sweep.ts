"use client";

import { useEffect, useState } from "react";
import type { Fingering } from "@/core/fingering/study/fingering";
import type { MotionSweep } from "@/core/motion/plan/motion-sweep";
import { fingeringWorker } from "@/worker/clients";

/** What the plans of fingerings come to against tempo, worked out beside the page; null until it is there. */
export function useMotionSweep(digits: readonly Fingering[], low: number, high: number): MotionSweep | null {
  const [found, setFound] = useState<{ readonly of: readonly Fingering[]; readonly sweep: MotionSweep } | null>(null);
  useEffect(() => {
    if (digits.length === 0) return;
    void fingeringWorker()
      .motionSweep(digits, [low, high])
      .then((answer) => {
        if (!answer.stopped) setFound({ of: digits, sweep: answer.found });
      })
      .catch(() => setFound(null));
  }, [digits, low, high]);
  return found?.of === digits ? found.sweep : null;
}
