"use client";

import { CartesianGrid, Label, Line, LineChart, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from "recharts";
import type { Flip, Sweep } from "@/core/fingering/sweep";
import { STROKES } from "./strokes";

interface Props {
  readonly names: readonly string[];
  readonly sweep: Sweep;
  readonly target: number;
}

/** px; the chart keeps its height while it is worked out. */
export const CHART_HEIGHT = 230;

/** Strain of each fingering against tempo, with the target and every tempo at which their order changes. */
export function TempoChart({ names, sweep: { tempos, curves, flips }, target }: Props) {
  const points = tempos.map((tempo, i) => ({
    tempo,
    ...Object.fromEntries(names.map((name, of) => [name, curves[of]!.strain[i]])),
  }));
  const most = Math.max(...curves.flatMap((c) => c.strain));
  return (
    <div>
      <div role="img" aria-label={`Strain against tempo. ${flipSentence(names, flips, tempos, curves)}`}>
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
              <Label
                value="♩ a minute"
                position="insideBottom"
                offset={-12}
                style={{ ...TICK, fill: "var(--ink-soft)" }}
              />
            </XAxis>
            <YAxis width={36} tick={TICK} stroke="var(--ink-soft)" domain={[0, Math.ceil(most * 1.1)]} />
            <ReferenceLine x={target} stroke="var(--ink)" strokeWidth={1}>
              <Label value="target" position="top" style={TICK} />
            </ReferenceLine>
            {flips.map(({ tempo }, i) => (
              <ReferenceLine key={tempo} x={tempo} stroke="var(--velvet)" strokeDasharray="3 3">
                <Label value={flipLabels(flips, tempos)[i]} position="top" style={{ ...TICK, fill: "var(--velvet)" }} />
              </ReferenceLine>
            ))}
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
      </div>
      <p className="text-sm">{flipSentence(names, flips, tempos, curves)}</p>
    </div>
  );
}

export const TICK = { fontSize: 12, fill: "var(--ink)", fontFamily: "var(--font-sans)" } as const;

/** Share of the line's length between the letters of one line and the next, so that they never meet. */
const LABEL_STEP = 0.08;

/** The letter of a line, over it at one of its points. */
export function letterOn(name: string, at: number) {
  return function Letter({ index, x, y }: { index?: number; x?: number | string; y?: number | string }) {
    if (index !== at) return <g />;
    return (
      <text
        x={Number(x)}
        y={Number(y) - 6}
        textAnchor="middle"
        fontSize={16}
        fontFamily="var(--font-serif)"
        fontStyle="italic"
        fill="var(--ink)"
        stroke="var(--paper)"
        strokeWidth={4}
        paintOrder="stroke"
      >
        {name}
      </text>
    );
  };
}

/** Share of the tempi within which two flips are too near for a label each. */
const LABEL_APART = 0.05;

/** What stands over each flip's line: its tempo, or with flips close by all of theirs over the first, "71, 72". */
export function flipLabels(flips: readonly Flip[], tempos: readonly number[]): readonly string[] {
  const near = LABEL_APART * (tempos.at(-1)! - tempos[0]!);
  const labels = flips.map(() => "");
  let first = 0;
  flips.forEach(({ tempo }, i) => {
    if (tempo - flips[first]!.tempo > near) first = i;
    labels[first] += i === first ? `${tempo}` : `, ${tempo}`;
  });
  return labels;
}

/** Which fingering strains least at which tempi: "Below ♩ = 84 B strains least, from there on A." */
export function flipSentence(
  names: readonly string[],
  flips: readonly Flip[],
  tempos: readonly number[],
  curves: Sweep["curves"],
): string {
  if (names.length < 2) return "";
  if (flips.length === 0) {
    const order = names.map((_, i) => i).sort((a, b) => curves[a]!.strain[0]! - curves[b]!.strain[0]!);
    return `${names[order[0]!]} strains least at every tempo from ${tempos[0]} to ${tempos.at(-1)}; the order never changes.`;
  }
  const parts = flips.map(({ tempo, before, after }) => {
    const said = `from ♩ = ${tempo} on ${listed(after, names)}`;
    return before[0] === after[0] ? `${said} (${names[after[0]!]} still least)` : said;
  });
  return `Easiest first: below ♩ = ${flips[0]!.tempo} ${listed(flips[0]!.before, names)}; ${parts.join("; ")}.`;
}

function listed(order: readonly number[], names: readonly string[]): string {
  return order.map((i) => names[i]).join(", ");
}
