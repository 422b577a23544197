"use client";

import type { ReactNode } from "react";
import { CartesianGrid, Label, Line, LineChart, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from "recharts";
import { TICK } from "../../ui/chart-tick";
import { Letter } from "../../ui/letter";
import { STROKES } from "./strokes";

/** px; the chart keeps its height while it is worked out. */
export const CHART_HEIGHT = 230;

/** Share of the line's length between the letters of one line and the next, so that they never meet. */
const LABEL_STEP = 0.08;

interface Props {
  readonly names: readonly string[];
  readonly tempos: readonly number[];
  /** One a fingering, by tempo. */
  readonly lines: readonly (readonly number[])[];
  readonly target: number;
  /** What stands under it. */
  readonly below: string;
  /** Greatest value shown; by itself where not said. */
  readonly most?: number;
  /** Further marks at tempi. */
  readonly children?: ReactNode;
}

/** A line for each fingering against tempo, with the target: told apart by dashes and by their letters. */
export function TempoLines({ names, tempos, lines, target, below, most, children }: Props) {
  const points = tempos.map((tempo, i) => ({
    tempo,
    ...Object.fromEntries(names.map((name, of) => [name, lines[of]![i]])),
  }));
  return (
    <ResponsiveContainer width="100%" height={CHART_HEIGHT}>
      <LineChart data={points} margin={{ top: 20, right: 28, bottom: 18, left: 4 }} accessibilityLayer={false}>
        <CartesianGrid stroke="var(--hairline)" vertical={false} />
        <XAxis
          dataKey="tempo"
          type="number"
          domain={[tempos[0]!, tempos.at(-1)!]}
          tick={TICK}
          stroke="var(--ink-soft)"
          tickCount={8}
        >
          <Label value={below} position="insideBottom" offset={-12} style={{ ...TICK, fill: "var(--ink-soft)" }} />
        </XAxis>
        <YAxis width={44} tick={TICK} stroke="var(--ink-soft)" domain={[0, most ?? "auto"]} />
        <ReferenceLine x={target} stroke="var(--ink)" strokeWidth={1}>
          <Label value="target" position="top" style={TICK} />
        </ReferenceLine>
        {children}
        {names.map((name, i) => (
          <Line
            key={name}
            dataKey={name}
            stroke="var(--ink)"
            strokeWidth={STROKES[i]!.width}
            strokeDasharray={STROKES[i]!.dash}
            dot={false}
            isAnimationActive={false}
            label={letterOn(name, Math.round((tempos.length - 1) * (1 - LABEL_STEP * (i + 0.3))))}
          />
        ))}
      </LineChart>
    </ResponsiveContainer>
  );
}

/** The letter of a line, over it at one of its points. */
function letterOn(name: string, at: number) {
  return function AtIndex({ index, x, y }: { index?: number; x?: number | string; y?: number | string }) {
    if (index !== at) return <g />;
    return (
      <Letter x={Number(x)} y={Number(y) - 6} size={16} anchor="middle">
        {name}
      </Letter>
    );
  };
}
