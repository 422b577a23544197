"use client";

import { useState } from "react";
import type { MotionCurve, MotionSweep } from "@/core/motion/plan/motion-sweep";
import { Choice } from "../../ui/choice";
import { TempoLines } from "./tempo-lines";

type CurveName = keyof MotionCurve;

const FIGURES: Readonly<Record<CurveName, { readonly name: string; readonly unit: string }>> = {
  rotation: { name: "Rotation", unit: "forearm to and fro, times a second" },
  travel: { name: "Travel", unit: "wrist along the keys, mm a second" },
  windows: { name: "Windows", unit: "joins with time to close, %" },
};

interface Props {
  readonly names: readonly string[];
  readonly sweep: MotionSweep;
  readonly target: number;
}

/** Rotation, travel and windows of each plan against tempo. */
export function MotionChart({ names, sweep: { tempos, curves }, target }: Props) {
  const [figure, setFigure] = useState<CurveName>("windows");
  const said = names.map((name, of) => {
    const all = curves[of]![figure];
    return `${name} from ${all[0]!.toFixed(1)} to ${all.at(-1)!.toFixed(1)}`;
  });
  return (
    <div>
      <div className="flex items-center gap-3">
        <h2 className="font-serif text-lg">The plan against tempo</h2>
        <Choice
          label="Figure"
          value={figure}
          options={(Object.keys(FIGURES) as CurveName[]).map((id) => [id, FIGURES[id].name])}
          onChange={setFigure}
        />
      </div>
      <div role="img" aria-label={`${FIGURES[figure].unit}: ${said.join("; ")}.`}>
        <TempoLines
          {...{ names, tempos, target }}
          lines={curves.map((curve) => curve[figure])}
          below={`♩ a minute; ${FIGURES[figure].unit}`}
        />
      </div>
    </div>
  );
}
