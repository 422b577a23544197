/**
 * The signs of the plan as small drawings about the origin, eleven px high at most: turns are leaning strokes on a
 * ground, heights half-moons, in and out bars before and behind a stroke, circles open rings, touches four marks, letting
 * go a hand's arc that closes, looking a lens.
 */
export function SignDrawing({ sign }: { sign: string }) {
  const path = PATHS[sign];
  return path === undefined ? null : (
    <path
      d={path}
      fill="none"
      stroke="var(--ink)"
      strokeWidth={1.3}
      strokeLinecap="round"
      strokeLinejoin="round"
      data-plan-sign={sign}
    />
  );
}

const PATHS: Readonly<Record<string, string>> = {
  "turn-to-thumb": "M -5 4 h 10 M 2.5 1.5 L -3 -4.5 M -3 -4.5 l 0.6 3.4 M -3 -4.5 l 3.4 0.3",
  "turn-to-little-finger": "M -5 4 h 10 M -2.5 1.5 L 3 -4.5 M 3 -4.5 l -0.6 3.4 M 3 -4.5 l -3.4 0.3",
  rocking: "M -5.5 -1 q 2.75 5 5.5 0 t 5.5 0",
  sink: "M -4.5 -3 a 4.5 4.5 0 0 0 9 0 M 0 1.5 v 3",
  rise: "M -4.5 3 a 4.5 4.5 0 0 1 9 0 M 0 -1.5 v -3",
  "go-in": "M -4.5 -4 h 9 M 0 4.5 v -6 M -2 0.5 l 2 -2 l 2 2",
  "go-out": "M -4.5 4 h 9 M 0 -4.5 v 6 M -2 -0.5 l 2 2 l 2 -2",
  "circle-over": "M -4 2.5 a 4.4 4.4 0 1 1 8 0 M 4 2.5 l 0.8 -2.8 M 4 2.5 l -2.8 -0.6",
  "circle-under": "M -4 -2.5 a 4.4 4.4 0 1 0 8 0 M 4 -2.5 l 0.8 2.8 M 4 -2.5 l -2.8 0.6",
  "touch-weight": "M -3.5 -4 h 7 l -3.5 7.5 z",
  "touch-arm": "M -3.5 4 v -8 h 7 v 8",
  "touch-forearm": "M -4.5 0 h 9 M -4.5 -3 v 6 M 4.5 -3 v 6",
  "touch-fingers": "M -4 -3 v 6 M -1.3 -4 v 7 M 1.4 -4 v 7 M 4 -3 v 6",
  look: "M -5.5 0 q 5.5 -6 11 0 q -5.5 6 -11 0 M -0.8 0 h 1.6",
  "let-go": "M -5 3.5 q 0 -6.5 5 -6.5 t 5 6.5 M -1.6 3.5 h 3.2",
};
