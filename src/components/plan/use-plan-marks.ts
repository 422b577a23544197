"use client";

import { useCallback, useState } from "react";
import { mergedMarks, type PlanMarks } from "@/core/motion/marks/plan-marks";
import { keepPlan } from "@/server/actions";
import type { OptionData } from "@/server/types";
import type { Keeping } from "../keeping/sending";
import { useShared } from "../keeping/use-shared";
import { noticeWithUndo } from "../keeping/notice-with-undo";

export interface PlanMarksInHand {
  readonly marks: PlanMarks;
  readonly keeping: Keeping;
  setMarks(marks: PlanMarks): void;
  /** Sets them with a notice from which they can be had back as they were. */
  setWithUndo(marks: PlanMarks, notice: string): void;
}

/**
 * What the player makes of the plan of a passage.
 * @param onOptions told the options after a change: there is more to undo in each
 */
export function usePlanMarks(
  passageId: string,
  given: PlanMarks,
  onOptions: (options: readonly OptionData[]) => void,
): PlanMarksInHand {
  const [marks, show] = useState(given);
  const shared = useShared<PlanMarks>({
    passageId,
    what: "plan",
    given,
    show,
    merge: mergedMarks,
    keep: keepPlan,
    onOptions,
  });
  const { set, takeBack } = shared;
  const setMarks = useCallback((next: PlanMarks) => void set(next), [set]);
  const setWithUndo = useCallback(
    (next: PlanMarks, notice: string) => {
      void set(next);
      noticeWithUndo(notice, () => void takeBack({ before: marks, after: next }));
    },
    [marks, set, takeBack],
  );
  return { marks, keeping: shared.keeping, setMarks, setWithUndo };
}
