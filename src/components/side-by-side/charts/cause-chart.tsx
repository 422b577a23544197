"use client";

import { Bar, BarChart, CartesianGrid, ResponsiveContainer, XAxis, YAxis } from "recharts";
import { causeById } from "@/core/fingering/cost/causes";
import type { Sweep } from "@/core/fingering/explain/sweep";
import { TRIAL_TEMPI } from "@/core/physics";
import { CHART_HEIGHT } from "./tempo-lines";

interface Props {
  readonly names: readonly string[];
  readonly sweep: Sweep;
  readonly target: number;
}

/** Causes shown by themselves; all others together. */
const SHOWN = 5;
const OTHERS = "all others";

/** What the strain is made of, stacked, for each fingering at a slow, a middle and the target tempo. */
export function CauseChart({ names, sweep, target }: Props) {
  const tempi = [target * TRIAL_TEMPI.slow, target * TRIAL_TEMPI.middle, target].map((t) => nearest(sweep.tempos, t));
  const causes = largest(sweep, tempi);
  const labels = [...causes.map((id) => causeById(id).label), OTHERS];
  const bars = tempi.flatMap((at) =>
    names.map((name, of) => ({ bar: `${name} ${sweep.tempos[at]}`, ...stack(sweep.curves[of]!, at, causes, labels) })),
  );
  return (
    <figure className="m-0">
      <figcaption className="pb-1 font-serif text-lg">What it is made of, slow, middling and at the target</figcaption>
      <div role="img" aria-label={spoken(bars, labels)}>
        <ResponsiveContainer width="100%" height={CHART_HEIGHT}>
          <BarChart data={bars} margin={{ top: 8, right: 8, bottom: 4, left: 4 }} accessibilityLayer={false}>
            <defs>
              {labels.map((label, i) => (
                <Pattern key={label} id={`cause-${i}`} look={i} />
              ))}
            </defs>
            <CartesianGrid stroke="var(--hairline)" vertical={false} />
            <XAxis dataKey="bar" tick={{ fontSize: 12, fill: "var(--ink)" }} stroke="var(--ink-soft)" interval={0} />
            <YAxis width={36} tick={{ fontSize: 12, fill: "var(--ink)" }} stroke="var(--ink-soft)" />
            {labels.map((label, i) => (
              <Bar
                key={label}
                dataKey={label}
                stackId="causes"
                fill={`url(#cause-${i})`}
                stroke="var(--ink)"
                strokeWidth={0.8}
                isAnimationActive={false}
                maxBarSize={44}
              />
            ))}
          </BarChart>
        </ResponsiveContainer>
      </div>
      <ul className="flex flex-wrap gap-x-4 gap-y-1 text-xs" aria-hidden>
        {labels.map((label, i) => (
          <li key={label} className="flex items-center gap-1.5">
            <svg width={18} height={12}>
              <rect
                x={0.5}
                y={0.5}
                width={17}
                height={11}
                fill={`url(#cause-${i})`}
                stroke="var(--ink)"
                strokeWidth={0.8}
              />
            </svg>
            {label}
          </li>
        ))}
      </ul>
    </figure>
  );
}

function nearest(tempos: readonly number[], tempo: number): number {
  return tempos.reduce((best, t, i) => (Math.abs(t - tempo) < Math.abs(tempos[best]! - tempo) ? i : best), 0);
}

function largest({ curves }: Sweep, tempi: readonly number[]): readonly string[] {
  const sizes = new Map<string, number>();
  for (const { causes } of curves)
    for (const [id, strain] of Object.entries(causes))
      sizes.set(id, Math.max(sizes.get(id) ?? 0, ...tempi.map((at) => strain[at]!)));
  return [...sizes]
    .sort(([, a], [, b]) => b - a)
    .slice(0, SHOWN)
    .map(([id]) => id);
}

function stack(
  { causes, strain }: Sweep["curves"][number],
  at: number,
  shown: readonly string[],
  labels: readonly string[],
): Readonly<Record<string, number>> {
  const parts = shown.map((id) => causes[id]?.[at] ?? 0);
  const others = Math.max(0, strain[at]! - parts.reduce((sum, part) => sum + part, 0));
  return Object.fromEntries([...parts, others].map((part, i) => [labels[i]!, Math.round(part * 100) / 100]));
}

function spoken(bars: readonly Readonly<Record<string, string | number>>[], labels: readonly string[]): string {
  return bars
    .map((bar) => `${bar["bar"]}: ${labels.map((label) => `${label} ${Number(bar[label]).toFixed(1)}`).join(", ")}`)
    .join("; ");
}

/** Ink patterns, from dense to empty: colour is kept for strain. */
function Pattern({ id, look }: { id: string; look: number }) {
  return (
    <pattern id={id} width={6} height={6} patternUnits="userSpaceOnUse">
      <rect width={6} height={6} fill="var(--paper-raised)" />
      <g stroke="var(--ink)" fill="var(--ink)" strokeWidth={1}>
        {LOOKS[look]}
      </g>
    </pattern>
  );
}

const LOOKS = [
  <rect key="full" width={6} height={6} opacity={0.8} stroke="none" />,
  <path key="slant" d="M -1 5 l 6 -6 M 1 7 l 6 -6" strokeWidth={1.6} />,
  <path key="level" d="M 0 1.5 h 6 M 0 4.5 h 6" />,
  <circle key="dots" cx={3} cy={3} r={1.1} stroke="none" />,
  <path key="cross" d="M 0 0 l 6 6 M 6 0 l -6 6" strokeWidth={0.7} />,
  null,
];
