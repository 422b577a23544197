"use client";

import { useLayoutEffect, useState } from "react";
import type { StudyData } from "@/core/fingering/study-data";
import { USUAL_WISHES } from "@/core/fingering/wishes";
import { fingeringWorker } from "@/worker/clients";

/** ms in which the machine is left to the engraver; a pin made sooner has the lattice worked out there and then. */
const ENGRAVER_FIRST = 500;

/** Opens a study in the worker, and works its lattice out before the first pin asks for it. */
export function useStudyAtHand(study: StudyData): void {
  // Before the effects of anything that asks about the study.
  useLayoutEffect(() => {
    void fingeringWorker().open(study);
    const soon = setTimeout(() => {
      void fingeringWorker().around({ leaning: "balanced", wishes: USUAL_WISHES, pins: {}, ruledOut: {} });
    }, ENGRAVER_FIRST);
    return () => clearTimeout(soon);
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
