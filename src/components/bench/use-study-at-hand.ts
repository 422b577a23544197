"use client";

import { useLayoutEffect } from "react";
import type { StudyData } from "@/core/fingering/study-data";
import type { FingeringWishes } from "@/core/fingering/wishes";
import { fingeringWorker } from "@/worker/clients";

/** Opens a study in the worker, and works its lattice out before the first pin asks for it. */
export function useStudyAtHand(study: StudyData, wishes: FingeringWishes): void {
  // Before the effects of anything that asks about the study.
  useLayoutEffect(() => {
    void fingeringWorker().open(study);
    void fingeringWorker().around({ leaning: "balanced", wishes, pins: {}, ruledOut: {} });
  }, [study, wishes]);
}
