/** What stands beside the axes of a chart. */
export const TICK = { fontSize: 12, fill: "var(--ink)", fontFamily: "var(--font-sans)" } as const;
