"use client";

import { startTransition, useEffect, useMemo, useState } from "react";
import type { Fingering } from "@/core/fingering/fingering";
import type { Plan } from "@/core/motion/plan";
import { withTouches, type PlanMarks } from "@/core/motion/plan-marks";
import { fingeringWorker } from "@/worker/clients";

/**
 * The hand plan of a fingering at a tempo, worked out beside the page; the last one stands until a newer is there. null
 * until there is one, or while none is wanted.
 * @param name what it is for: two plans of different names do not stop one another
 */
export function usePlan(
  name: string,
  digits: Fingering | undefined,
  tempo: number,
  marks: PlanMarks,
  study: unknown,
): Plan | null {
  const [found, setFound] = useState<Plan | null>(null);
  const { tune } = marks;
  useEffect(() => {
    if (!digits) return;
    let isWanted = true;
    void fingeringWorker()
      .plan(name, digits, tempo, tune)
      .then((answer) => {
        if (isWanted && !answer.stopped) startTransition(() => setFound(answer.found));
      });
    return () => {
      isWanted = false;
    };
  }, [name, digits, tempo, tune, study]);
  return useMemo(
    () => (found && digits ? { ...found, hands: found.hands.map((hand) => withTouches(hand, marks)) } : null),
    [found, digits, marks],
  );
}
