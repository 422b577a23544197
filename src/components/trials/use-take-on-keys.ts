"use client";

import { useEffect, useMemo, useState } from "react";
import type { Fingering } from "@/core/fingering/study/fingering";
import { soundsOf, stepTimes } from "@/core/fingering/study/sounding";
import type { Step } from "@/core/fingering/study/steps";
import type { Study } from "@/core/fingering/study/study";
import type { Pitch } from "@/core/keyboard/pitch";
import type { PlanMarks } from "@/core/motion/marks/plan-marks";
import type { Plan } from "@/core/motion/plan/plan";
import { usePlan } from "../plan/use-plan";
import { stepAt } from "../playing/schedule";
import { momentOf } from "./take-clock";
import type { TakeTold } from "./use-trial";

/** A take on the keys: the hands that its fingering plans, beside the keys as they were struck. */
export interface TakeOnKeys {
  readonly digits: Fingering;
  readonly plan: Plan | null;
  /** When each step is struck, in quarter notes. */
  readonly times: readonly number[];
  /** Where the music stands, in quarter notes; null while it is not heard. */
  readonly clock: (() => number | null) | null;
  /** The step that is heard; null while it is not. */
  readonly at: number | null;
  /** Keys that were struck at a step; null where it was not heard. */
  struckAt(step: Step): readonly Pitch[] | null;
}

interface Asked {
  readonly told: TakeTold | null;
  readonly study: Study;
  readonly steps: readonly Step[];
  readonly marks: PlanMarks;
  /** The study that plans are told apart by. */
  readonly given: unknown;
  readonly isHeard: boolean;
  /** Quarter notes of the take's tempo since it began to sound. */
  readonly position: () => number | null;
}

/** The take that is looked at, on the keys; null for none. */
export function useTakeOnKeys({ told, study, steps, marks, given, isHeard, position }: Asked): TakeOnKeys | null {
  const plan = usePlan(
    "of the take",
    told?.id,
    isHeard ? told?.digits : undefined,
    told?.take.tempo ?? 0,
    marks,
    given,
  );
  const times = useMemo(() => stepTimes(soundsOf(study), steps), [study, steps]);
  const clock = useMemo(() => {
    if (!told || !isHeard) return null;
    const moment = momentOf(told.report.onsets, steps, times);
    const start = Math.min(...told.take.keys.map(({ downMs }) => downMs));
    return (): number | null => {
      const quarters = position();
      return quarters === null ? null : moment(start + (quarters * 60_000) / told.take.tempo);
    };
  }, [told, isHeard, steps, times, position]);
  const at = useStepHeard(clock, times);
  return useMemo(() => {
    if (!told) return null;
    const struck = new Map(told.report.onsets.map(({ note, keys }) => [note, keys]));
    return {
      digits: told.digits,
      ...{ plan, times, clock, at },
      struckAt: ({ notes }) => notes.map((note) => struck.get(note)).find((keys) => keys !== undefined) ?? null,
    };
  }, [told, plan, times, clock, at]);
}

function useStepHeard(clock: (() => number | null) | null, times: readonly number[]): number | null {
  const [at, setAt] = useState<number | null>(null);
  useEffect(() => {
    if (!clock) return;
    let frame = requestAnimationFrame(function follow() {
      const moment = clock();
      if (moment !== null) setAt(stepAt(times, moment));
      frame = requestAnimationFrame(follow);
    });
    return () => {
      cancelAnimationFrame(frame);
      setAt(null);
    };
  }, [clock, times]);
  return at;
}
