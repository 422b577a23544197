import type { Grade } from "@/core/placement/grade";

/** The four grades as the player reads them. */
export const GRADE_NAMES: Readonly<Record<Grade, string>> = {
  relaxed: "relaxed",
  working: "working",
  strained: "strained",
  "out-of-reach": "out of reach",
};

const COLOURS: Readonly<Record<Grade, string>> = {
  relaxed: "var(--felt)",
  working: "var(--brass)",
  strained: "var(--vermilion)",
  "out-of-reach": "var(--ink)",
};

/**
 * A grade as colour and as pattern: the fuller the square, the harder; out of reach is an empty square struck
 * through. Drawn into a square of a size at a place.
 */
export function GradeSquare({ grade, x = 0, y = 0, size }: { grade: Grade; x?: number; y?: number; size: number }) {
  const colour = COLOURS[grade];
  const line = { stroke: colour, strokeWidth: Math.max(1, size / 14) };
  const rules = { relaxed: 0, working: 2, strained: 4, "out-of-reach": 0 }[grade];
  return (
    <g data-grade={grade}>
      <rect
        x={x + 0.5}
        y={y + 0.5}
        width={size - 1}
        height={size - 1}
        fill={grade === "out-of-reach" ? "none" : colour}
        fillOpacity={{ relaxed: 0.14, working: 0.24, strained: 0.34, "out-of-reach": 0 }[grade]}
        {...line}
        strokeOpacity={grade === "out-of-reach" ? 0.35 : 1}
      />
      {grade === "relaxed" && <circle cx={x + size / 2} cy={y + size / 2} r={size / 9} fill={colour} />}
      {Array.from({ length: rules }, (_, i) => {
        const at = y + (size * (i + 1)) / (rules + 1);
        return <line key={i} x1={x + size * 0.18} x2={x + size * 0.82} y1={at} y2={at} {...line} />;
      })}
      {grade === "out-of-reach" && (
        <line
          x1={x + size * 0.2}
          x2={x + size * 0.8}
          y1={y + size * 0.8}
          y2={y + size * 0.2}
          {...line}
          strokeOpacity={0.6}
        />
      )}
    </g>
  );
}

/** What the squares mean. */
export function GradeKey() {
  return (
    <ul className="flex flex-wrap gap-x-5 gap-y-1 text-sm" aria-label="Grades">
      {(Object.keys(GRADE_NAMES) as Grade[]).map((grade) => (
        <li key={grade} className="flex items-center gap-2">
          <svg width={18} height={18} aria-hidden>
            <GradeSquare grade={grade} size={18} />
          </svg>
          {GRADE_NAMES[grade]}
        </li>
      ))}
    </ul>
  );
}
