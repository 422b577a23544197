"use client";

import type { BarSurveyed } from "@/core/reach/survey";
import { GRADE_NAMES, GradeSquare } from "../reach/grade-look";

interface Props {
  readonly bars: readonly BarSurveyed[];
  readonly onBar: (bar: number) => void;
}

/** Bars in one line of the strip. */
const IN_A_LINE = 50;
/** px of one hand's band, and of a bar. */
const BAND = 22;
const BAR = 24;

/** All bars of a piece, the right hand over the left: what each asks at its hardest. */
export function BarStrip({ bars, onBar }: Props) {
  const lines = Array.from({ length: Math.ceil(bars.length / IN_A_LINE) }, (_, i) =>
    bars.slice(i * IN_A_LINE, (i + 1) * IN_A_LINE),
  );
  return (
    <div role="group" aria-label="All bars" className="mt-2 flex flex-col gap-1">
      {lines.map((line) => (
        <svg
          key={line[0]!.index}
          viewBox={`0 0 ${Math.max(lines.length > 1 ? IN_A_LINE : 16, line.length) * BAR} ${2 * BAND + 14}`}
          className="w-full"
          style={{ maxHeight: 72 }}
          preserveAspectRatio="xMinYMin meet"
        >
          {line.map((bar, i) => (
            <Bar key={bar.index} bar={bar} x={i * BAR} onBar={onBar} />
          ))}
        </svg>
      ))}
    </div>
  );
}

function Bar({ bar, x, onBar }: { bar: BarSurveyed; x: number; onBar: (bar: number) => void }) {
  const said = (["right", "left"] as const)
    .flatMap((side) => (bar[side] ? [`${side} hand ${GRADE_NAMES[bar[side].grade]}`] : []))
    .join(", ");
  const label = `Bar ${bar.number}: ${said || "nothing held together"}. New passage from here.`;
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={label}
      className="cursor-pointer"
      onClick={() => onBar(bar.index)}
      onKeyDown={(event) => {
        if (event.key === "Enter") onBar(bar.index);
      }}
    >
      <title>{label}</title>
      <rect x={x} y={0} width={BAR} height={2 * BAND + 14} fill="transparent" />
      <line x1={x} x2={x} y1={0} y2={2 * BAND + 4} stroke="var(--hairline)" />
      <line x1={x} x2={x + BAR} y1={BAND} y2={BAND} stroke="var(--hairline)" />
      {bar.right && <GradeSquare grade={bar.right.grade} x={x + 2} y={1} size={BAND - 2} />}
      {bar.left && <GradeSquare grade={bar.left.grade} x={x + 2} y={BAND + 1} size={BAND - 2} />}
      {(bar.index === 1 || bar.index % 5 === 0) && (
        <text x={x + 3} y={2 * BAND + 13} fontSize={9} fill="var(--ink-soft)">
          {bar.number}
        </text>
      )}
    </g>
  );
}
