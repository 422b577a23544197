interface Props {
  readonly x: number;
  readonly y: number;
  /** px. */
  readonly size: number;
  readonly anchor?: "start" | "middle";
  readonly children: string;
}

/** The letter of an option or a figure on a drawing, clear of the lines beneath it. */
export function Letter({ x, y, size, anchor = "start", children }: Props) {
  return (
    <text
      x={x}
      y={y}
      textAnchor={anchor}
      fontSize={size}
      fontFamily="var(--font-serif)"
      fontStyle="italic"
      fill="var(--ink)"
      stroke="var(--paper)"
      strokeWidth={4}
      paintOrder="stroke"
    >
      {children}
    </text>
  );
}
