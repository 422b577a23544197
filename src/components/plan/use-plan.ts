"use client";

import { startTransition, useEffect, useMemo, useState } from "react";
import type { Fingering } from "@/core/fingering/study/fingering";
import type { Plan } from "@/core/motion/plan/plan";
import { withTouches, type PlanMarks } from "@/core/motion/marks/plan-marks";
import { fingeringWorker } from "@/worker/clients";

/** A plan, and whose it is: another option's is not shown under this one's letter. */
interface PlanFor {
  readonly plan: Plan;
  readonly option: string | undefined;
  readonly study: unknown;
}

/**
 * The hand plan of a fingering at a tempo, worked out beside the page; the last one of the same
 * option stands until a newer is there. null
 * until there is one, or while none is wanted.
 * @param option id of the option whose digits they are
 * @param name what it is for: two plans of different names do not stop one another
 */
export function usePlan(
  name: string,
  option: string | undefined,
  digits: Fingering | undefined,
  tempo: number,
  marks: PlanMarks,
  study: unknown,
): Plan | null {
  const [found, setFound] = useState<PlanFor | null>(null);
  const { tune } = marks;
  useEffect(() => {
    if (!digits) return;
    let isWanted = true;
    void fingeringWorker()
      .plan(name, digits, tempo, tune)
      .then((answer) => {
        if (isWanted && !answer.stopped) startTransition(() => setFound({ plan: answer.found, option, study }));
      });
    return () => {
      isWanted = false;
    };
  }, [name, option, digits, tempo, tune, study]);
  return useMemo(
    () =>
      found && digits && found.option === option && found.study === study
        ? { ...found.plan, hands: found.plan.hands.map((hand) => withTouches(hand, marks)) }
        : null,
    [found, digits, option, study, marks],
  );
}
