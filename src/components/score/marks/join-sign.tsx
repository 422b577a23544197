import type { JoinKind } from "@/core/fingering/explain/positions";

/**
 * How the hand comes from one position to the next, as a small sign about the origin: a pass an arch, a crossing two
 * strokes, a shift a step, a leap a high step, a change on the key two dots.
 */
export function JoinSign({ kind }: { kind: JoinKind }) {
  return (
    <g stroke="var(--ink)" strokeWidth={1.3} fill="none" strokeLinecap="round" strokeLinejoin="round" data-join={kind}>
      <path d={PATHS[kind]} />
    </g>
  );
}

const PATHS: Readonly<Record<JoinKind, string>> = {
  "thumb pass": "M -4.5 1.5 a 4.5 4.5 0 0 1 9 0",
  crossing: "M -3.5 1.5 l 7 -6 M -3.5 -4.5 l 7 6",
  shift: "M -5 1.5 h 4 v -4 h 6",
  leap: "M -5 1.5 h 3.5 v -8 h 6.5",
  "change on the key": "M -2.6 -1.5 h 0.1 M 2.6 -1.5 h 0.1 M -5 1.5 h 10",
};
