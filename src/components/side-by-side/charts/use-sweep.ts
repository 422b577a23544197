"use client";

import { useCallback, useEffect, useState } from "react";
import type { Sweep } from "@/core/fingering/explain/sweep";
import type { Fingering } from "@/core/fingering/study/fingering";
import { fingeringWorker } from "@/worker/clients";
import { telling } from "@/worker/progress";

type Sweeping =
  | { readonly state: "working"; readonly share: number }
  | { readonly state: "stopped" }
  | { readonly state: "done"; readonly sweep: Sweep };

export interface SweepInHand {
  readonly sweeping: Sweeping;
  stop(): void;
  begin(): void;
}

/** Strain of fingerings against tempo, worked out in the worker; it can be stopped and begun again. */
export function useSweep(digits: readonly Fingering[], low: number, high: number): SweepInHand {
  const [found, setFound] = useState<{ readonly of: readonly Fingering[]; readonly sweeping: Sweeping } | null>(null);
  const begin = useCallback(() => {
    const show = (sweeping: Sweeping): void => setFound({ of: digits, sweeping });
    const progress = telling((done: number) => show({ state: "working", share: done / (high - low + 1) }));
    void fingeringWorker()
      .sweep(digits, [low, high], progress.tell)
      .then((answer) => {
        progress.end();
        if (!answer.stopped) show({ state: "done", sweep: answer.found });
      })
      .catch(() => {
        progress.end();
        show({ state: "stopped" });
      });
  }, [digits, low, high]);
  useEffect(() => {
    if (digits.length > 0) begin();
  }, [begin, digits]);
  return {
    sweeping: found?.of === digits ? found.sweeping : { state: "working", share: 0 },
    begin,
    stop() {
      void fingeringWorker().stop("sweep");
      setFound({ of: digits, sweeping: { state: "stopped" } });
    },
  };
}
