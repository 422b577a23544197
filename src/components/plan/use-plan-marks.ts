"use client";

import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import { toast } from "sonner";
import type { PlanMarks } from "@/core/motion/plan-marks";
import { keepPlan } from "@/server/actions";
import { outbox, type Keeping } from "../keeping/outbox";
import { pendingIn } from "../keeping/pending";

export interface PlanMarksInHand {
  readonly marks: PlanMarks;
  readonly keeping: Keeping;
  setMarks(marks: PlanMarks): void;
  /** Sets them with a notice from which they can be had back as they were. */
  setWithUndo(marks: PlanMarks, notice: string): void;
}

interface Asked {
  readonly id: "plan";
  /** As they were before the first change that is not kept yet. */
  readonly before: PlanMarks;
  readonly planMarks: PlanMarks;
}

/** What the player makes of the plan: shown at once, kept in the background, sent again when the page was closed on the way. */
export function usePlanMarks(passageId: string, given: PlanMarks): PlanMarksInHand {
  const [marks, show] = useState(given);
  // The newest, for changes made from a notice that was shown before others.
  const newest = useRef(given);
  const [keeping, setKeeping] = useState<Keeping>("kept");
  const pending = useMemo(() => pendingIn<Asked>(`plan ${passageId}`), [passageId]);
  const box = useMemo(() => outbox(setKeeping, (ms) => new Promise((resolve) => setTimeout(resolve, ms))), []);
  const send = useCallback(
    (asked: Asked) => {
      pending.put(asked);
      box.send(async () => {
        const { before, planMarks } = asked;
        const answer = await keepPlan({ passageId, before, planMarks });
        pending.remove(asked.id);
        if (!answer.ok) toast.error(answer.message);
      });
    },
    [box, pending, passageId],
  );
  useEffect(() => {
    for (const asked of pending.all()) {
      newest.current = asked.planMarks;
      queueMicrotask(() => show(asked.planMarks));
      send(asked);
    }
  }, [pending, send]);
  const setMarks = useCallback(
    (planMarks: PlanMarks) => {
      const before = pending.all()[0]?.before ?? newest.current;
      newest.current = planMarks;
      show(planMarks);
      send({ id: "plan", before, planMarks });
    },
    [send, pending],
  );
  const setWithUndo = useCallback(
    (next: PlanMarks, notice: string) => {
      setMarks(next);
      toast(notice, { action: { label: "Undo", onClick: () => setMarks(marks) } });
    },
    [marks, setMarks],
  );
  return { marks, keeping, setMarks, setWithUndo };
}
