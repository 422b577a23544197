"use client";

import type { Instrument } from "@/core/keyboard/instrument";
import type { Pitch } from "@/core/keyboard/pitch";
import type { Plan } from "@/core/motion/plan/plan";
import { SlowMotion } from "./slow-motion";
import type { PlanShown } from "../use-plan-shown";
import { useSlowMotion } from "./use-slow-motion";

interface Props {
  readonly name: string;
  readonly plan: Plan;
  readonly shown: PlanShown;
  readonly others: readonly string[];
  readonly instrument: Instrument;
  readonly keys: readonly [Pitch, Pitch];
}

/** ms for which the last onset is shown. */
const AFTER_LAST = 600;

/** Slow motion over the whole passage. */
export function PlanMotion({ name, plan, shown, others, instrument, keys }: Props) {
  const starts = plan.hands.flatMap((h) => h.frames[0]?.ms ?? []);
  const ends = plan.hands.flatMap((h) => h.frames.at(-1)?.ms ?? []);
  const range = [Math.min(...starts), Math.max(...ends) + AFTER_LAST] as const;
  const motion = useSlowMotion(...range);
  return (
    <SlowMotion
      motion={motion}
      range={range}
      shown={{ name, plan }}
      beside={shown.beside}
      others={others}
      onBeside={shown.setBeside}
      instrument={instrument}
      keys={keys}
    />
  );
}
