"use client";

import { useState } from "react";
import { CartesianGrid, Label, Line, LineChart, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from "recharts";
import type { MotionCurve, MotionSweep } from "@/core/motion/motion-sweep";
import { Choice } from "../ui/choice";
import { CHART_HEIGHT, letterOn, TICK } from "./tempo-chart";
import { STROKES } from "./strokes";

type Figure = keyof MotionCurve;

const FIGURES: Readonly<Record<Figure, { readonly name: string; readonly unit: string }>> = {
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
  const [figure, setFigure] = useState<Figure>("windows");
  const points = tempos.map((tempo, i) => ({
    tempo,
    ...Object.fromEntries(names.map((name, of) => [name, curves[of]![figure][i]])),
  }));
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
          options={(Object.keys(FIGURES) as Figure[]).map((id) => [id, FIGURES[id].name])}
          onChange={setFigure}
        />
      </div>
      <div role="img" aria-label={`${FIGURES[figure].unit}: ${said.join("; ")}.`}>
        <ResponsiveContainer width="100%" height={CHART_HEIGHT}>
          <LineChart data={points} margin={{ top: 20, right: 28, bottom: 18, left: 4 }} accessibilityLayer={false}>
            <CartesianGrid stroke="var(--hairline)" vertical={false} />
            <XAxis
              dataKey="tempo"
              type="number"
              domain={[tempos[0]!, tempos.at(-1)!]}
              tick={TICK}
              stroke="var(--ink-soft)"
            >
              <Label
                value={`♩ a minute; ${FIGURES[figure].unit}`}
                position="insideBottom"
                offset={-12}
                style={{ ...TICK, fill: "var(--ink-soft)" }}
              />
            </XAxis>
            <YAxis width={44} tick={TICK} stroke="var(--ink-soft)" />
            <ReferenceLine x={target} stroke="var(--ink)" strokeWidth={1}>
              <Label value="target" position="top" style={TICK} />
            </ReferenceLine>
            {names.map((name, i) => (
              <Line
                key={name}
                dataKey={name}
                stroke="var(--ink)"
                strokeWidth={STROKES[i]!.width}
                strokeDasharray={STROKES[i]!.dash}
                dot={false}
                isAnimationActive={false}
                label={letterOn(name, tempos.length - 2 - i)}
              />
            ))}
          </LineChart>
        </ResponsiveContainer>
      </div>
    </div>
  );
}
