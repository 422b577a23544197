import { FINGERS, type Finger, type Side } from "../hand/finger";
import type { Point, Pose } from "../hand/pose";
import { onKeys, type Ruler } from "./ruler";

/** The points of a hand that can be marked: tips and knuckles finger by finger, and the middle of the wrist. */
export type MarkName = `tip ${Finger}` | `knuckle ${Finger}` | "wrist";

export const MARK_NAMES: readonly MarkName[] = [
  ...FINGERS.map((finger): MarkName => `tip ${finger}`),
  ...FINGERS.map((finger): MarkName => `knuckle ${finger}`),
  "wrist",
];

/** Points of one hand as they are marked in a picture, px. */
export type HandMarks = Readonly<Partial<Record<MarkName, Point>>>;

/** What a picture shows of a hand, against the plan's at the same onset. */
export interface HandMeasuredInFilm {
  /** mm between neighbouring tips that are marked both, by the lower finger, and between thumb and little finger. */
  readonly openings: readonly {
    readonly from: Finger;
    readonly to: Finger;
    readonly mm: number;
    readonly planned: number | null;
  }[];
  /** Each point that is marked: by how many mm it lies to the right of the plan's, and farther in. */
  readonly points: readonly {
    readonly name: MarkName;
    readonly right: number;
    readonly in: number;
    readonly mm: number;
  }[];
  /** Degrees that the hand turns at the wrist, positive towards the little finger: from the wrist through the middle knuckle. */
  readonly turned: number | null;
  readonly turnedPlanned: number | null;
}

/** The marked points on the keyboard, mm. */
export function marksOnKeys(marks: HandMarks, ruler: Ruler): HandMarks {
  return Object.fromEntries(Object.entries(marks).map(([name, point]) => [name, onKeys(ruler, point)]));
}

/** The points of a pose by the same names. */
export function marksOfPose({ fingers, wrist }: Pose): HandMarks {
  return Object.fromEntries([
    ...fingers.flatMap(({ finger, tip, knuckle }) => [
      [`tip ${finger}`, tip],
      [`knuckle ${finger}`, knuckle],
    ]),
    ["wrist", wrist],
  ]);
}

/** Measures marked points in mm. @param planned the plan's hand at that onset; null where it has none */
export function measuredInFilm(side: Side, marks: HandMarks, planned: Pose | null): HandMeasuredInFilm {
  const plan = planned ? marksOfPose(planned) : {};
  const pairs = [
    ...FINGERS.slice(0, 4).map((f): [Finger, Finger] => [f, (f + 1) as Finger]),
    [1, 5] as [Finger, Finger],
  ];
  return {
    openings: pairs.flatMap(([from, to]) => {
      const mm = between(marks, `tip ${from}`, `tip ${to}`);
      return mm === null ? [] : [{ from, to, mm, planned: between(plan, `tip ${from}`, `tip ${to}`) }];
    }),
    points: MARK_NAMES.flatMap((name) => {
      const [point, there] = [marks[name], plan[name]];
      if (!point || !there) return [];
      const [right, in_] = [point.x - there.x, point.y - there.y];
      return [{ name, right, in: in_, mm: Math.hypot(right, in_) }];
    }),
    turned: turnedOf(side, marks),
    turnedPlanned: turnedOf(side, plan),
  };
}

/**
 * A hand's points reflected about a vertical line, as the other hand would have them in a mirrored figure: moved along the
 * keys so that the wrists, or else the middles, come to lie on one another.
 */
export function mirroredBeside(marks: HandMarks, beside: HandMarks): HandMarks {
  const mirrored = Object.fromEntries(Object.entries(marks).map(([name, { x, y }]) => [name, { x: -x, y }])) as Record<
    MarkName,
    Point
  >;
  const [own, other] = [anchorOf(mirrored), anchorOf(beside)];
  if (!own || !other) return mirrored;
  return Object.fromEntries(Object.entries(mirrored).map(([name, { x, y }]) => [name, { x: x + other.x - own.x, y }]));
}

function anchorOf(marks: HandMarks): Point | null {
  if (marks.wrist) return marks.wrist;
  const points = Object.values(marks);
  if (points.length === 0) return null;
  return { x: points.reduce((sum, { x }) => sum + x, 0) / points.length, y: 0 };
}

function between(marks: HandMarks, a: MarkName, b: MarkName): number | null {
  const [from, to] = [marks[a], marks[b]];
  return from && to ? Math.hypot(to.x - from.x, to.y - from.y) : null;
}

function turnedOf(side: Side, marks: HandMarks): number | null {
  const [wrist, knuckle] = [marks.wrist, marks["knuckle 3"]];
  if (!wrist || !knuckle) return null;
  const degrees = (Math.atan2(knuckle.x - wrist.x, knuckle.y - wrist.y) * 180) / Math.PI;
  return side === "right" ? degrees : -degrees;
}
