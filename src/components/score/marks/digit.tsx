import { memo } from "react";
import type { DigitPlaced } from "./digits";

interface Props extends DigitPlaced {
  /** Whether it belongs to the first layer. */
  readonly strong: boolean;
  readonly chosen: boolean;
}

/**
 * One finger digit. A pinned one is heavy and underlined, one that came with the score has a small ring, one that has
 * been changed since the option was made a stroke before it, a differing one stands in a box, one that a remedy would
 * give is in dots; one worked out is plain.
 */
export const Digit = memo(function Digit(props: Props) {
  const { text, x, y, size, pinned, marked, printed, changed, suggested, note, layer, strong, chosen } = props;
  const unit = size / 15;
  return (
    <g data-note={note} data-layer={layer}>
      {marked && (
        <rect
          x={x - 7 * unit}
          y={y - size * 0.82}
          width={14 * unit}
          height={size + 1}
          rx={2}
          fill="var(--paper-raised)"
          stroke="var(--ink)"
          strokeWidth={1}
        />
      )}
      <text
        x={x}
        y={y}
        textAnchor="middle"
        fontSize={size}
        fontFamily="var(--font-serif)"
        fontWeight={pinned ? 800 : strong ? 500 : 400}
        fontStyle={strong ? "normal" : "italic"}
        fill={chosen ? "var(--velvet)" : "var(--ink)"}
      >
        {text}
      </text>
      {suggested && <Underline {...props} sign="suggested" strokeWidth={1.4} strokeDasharray="1.4 2" />}
      {pinned && <Underline {...props} sign="pinned" strokeWidth={1.6} />}
      {printed && (
        <circle
          cx={x + 6.5 * unit}
          cy={y - 9.5 * unit}
          r={1.7 * unit}
          fill="none"
          stroke="currentColor"
          strokeWidth={0.9}
          data-sign="printed"
        />
      )}
      {changed && (
        <path
          d={`M ${x - 8 * unit} ${y - 6.5 * unit} l ${3 * unit} ${-5 * unit}`}
          fill="none"
          stroke="currentColor"
          strokeWidth={1.2}
          data-sign="changed"
        />
      )}
    </g>
  );
});

type UnderlineProps = Pick<Props, "x" | "y" | "size"> & {
  readonly sign: string;
  readonly strokeWidth: number;
  readonly strokeDasharray?: string;
};

/** A stroke under a digit. */
function Underline({ x, y, size, sign, strokeWidth, strokeDasharray }: UnderlineProps) {
  const half = size / 3;
  return (
    <line
      x1={x - half}
      x2={x + half}
      y1={y + 2.5}
      y2={y + 2.5}
      stroke="currentColor"
      strokeWidth={strokeWidth}
      strokeDasharray={strokeDasharray}
      data-sign={sign}
    />
  );
}
