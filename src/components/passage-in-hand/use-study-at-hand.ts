"use client";

import { useLayoutEffect, useState } from "react";
import type { StudyData } from "@/core/fingering/study/study-data";
import { USUAL_WISHES } from "@/core/options/asked/wishes";
import { fingeringWorker, openStudy } from "@/worker/clients";

/** Opens a study in the worker, and works its lattice out before the first pin asks for it. */
export function useStudyAtHand(study: StudyData): void {
  // Before the effects of anything that asks about the study.
  useLayoutEffect(() => {
    openStudy(study);
    // Whether it breaks off is said where it is asked for.
    void fingeringWorker()
      .around({ leaning: "balanced", wishes: USUAL_WISHES, pins: {}, ruledOut: {} })
      .catch(() => undefined);
  }, [study]);
}

/** The study as it was before, as long as a newer one says the same: a page made new need not work it out again. */
export function useSameStudy(newest: StudyData): StudyData {
  const [kept, keep] = useState({ study: newest, says: JSON.stringify(newest) });
  if (kept.study === newest) return kept.study;
  const says = JSON.stringify(newest);
  if (says === kept.says) return kept.study;
  keep({ study: newest, says });
  return newest;
}
