"use client";

import { useMemo } from "react";
import type { OptionJudged } from "../../passage-in-hand/option-cards";
import { tempoRangeAbout } from "../../passage-in-hand/use-tempo";
import { WorkingOut } from "../../passage-in-hand/working-out";
import { CauseChart } from "./cause-chart";
import { MotionChart } from "./motion-chart";
import { useMotionSweep } from "./use-motion-sweep";
import { TempoChart } from "./tempo-chart";
import { useSweep } from "./use-sweep";

/** Strain against tempo, and what it is made of. */
export function Charts({ chosen, target }: { chosen: readonly OptionJudged[]; target: number }) {
  const digits = useMemo(() => chosen.map((o) => o.option.digits), [chosen]);
  const [low, high] = tempoRangeAbout(target);
  const { sweeping, stop, begin } = useSweep(digits, low, high);
  const motion = useMotionSweep(digits, low, high);
  const names = chosen.map((o) => o.option.name);
  return (
    <section aria-label="Against tempo" className="min-h-[36rem]">
      <h2 className="font-serif text-lg">Strain against tempo</h2>
      {sweeping.state === "done" ? (
        <div className="flex flex-col gap-6">
          <TempoChart names={names} sweep={sweeping.sweep} target={target} />
          <CauseChart names={names} sweep={sweeping.sweep} target={target} />
          {motion && <MotionChart names={names} sweep={motion} target={target} />}
        </div>
      ) : (
        <WorkingOut working={sweeping} what="every tempo" onStop={stop} onBegin={begin} />
      )}
    </section>
  );
}
