import type { Hand } from "../../hand/hand";
import type { Finger } from "../../hand/finger";
import type { Point, Wrist } from "../../hand/pose";
import { PLACEMENT, PLAN } from "../../physics";
import { mirrored } from "../../placement/standing";
import type { Clearance } from "../hand/clearance";
import { inward, lyingAs, sideways, turned, type Place, type PlaceBounds } from "../path/place";
import { wristAt, type PlanFrame } from "../path/path";

/** A small change of how the hand lies at one onset, to try as it is and changed. */
export interface Adjustment {
  readonly id: string;
  readonly words: string;
  /** Strain saved, negative where it costs some. */
  readonly strain: number;
  /** mm more between the fingers and the keys beside; 0 where none is near. */
  readonly clearance: number;
  /** Where the tips and the wrist are then, in keyboard coordinates. */
  readonly tips: ReadonlyMap<Finger, Point>;
  readonly wrist: Wrist;
}

interface Adjusted {
  readonly x: number;
  readonly depth: number;
  readonly ulnarDeviation: number;
  readonly leaning: boolean;
}

interface Try {
  readonly id: string;
  readonly words: string;
  readonly change: (at: Adjusted) => Adjusted;
  readonly gain?: Clearance["gains"][number]["change"];
}

const TRIES: readonly Try[] = [
  {
    id: "turn-out",
    words: `turn the hand ${PLAN.angleTried} degrees towards the little finger`,
    change: (a) => ({ ...a, ulnarDeviation: a.ulnarDeviation + PLAN.angleTried }),
    gain: "angle",
  },
  {
    id: "turn-in",
    words: `turn the hand ${PLAN.angleTried} degrees towards the thumb`,
    change: (a) => ({ ...a, ulnarDeviation: a.ulnarDeviation - PLAN.angleTried }),
    gain: "angle",
  },
  {
    id: "lean",
    words: "lean the hand, on the sides of the fingers",
    change: (a) => ({ ...a, leaning: true }),
    gain: "tilt",
  },
  { id: "upright", words: "hold the hand upright", change: (a) => ({ ...a, leaning: false }) },
  {
    id: "in",
    words: `go ${PLAN.nudge} mm nearer to the fallboard`,
    change: (a) => ({ ...a, depth: a.depth + PLAN.nudge }),
  },
  {
    id: "out",
    words: `go ${PLAN.nudge} mm nearer to the edge of the keys`,
    change: (a) => ({ ...a, depth: a.depth - PLAN.nudge }),
    gain: "depth",
  },
  {
    id: "outwards",
    words: `carry the hand ${PLAN.nudge} mm towards the little finger`,
    change: (a) => ({ ...a, x: a.x + PLAN.nudge }),
  },
  {
    id: "inwards",
    words: `carry the hand ${PLAN.nudge} mm towards the thumb`,
    change: (a) => ({ ...a, x: a.x - PLAN.nudge }),
  },
  { id: "higher", words: `hold the wrist ${PLAN.heightTried} mm higher`, change: (a) => a, gain: "height" },
];

/**
 * Small changes at an onset that its limits allow, what helps most first. A change that does nothing is left out.
 * @param near the clearance at this onset; null where no key is near
 */
export function adjustmentsAt(
  hand: Hand,
  frame: PlanFrame,
  place: Place,
  near: Clearance | null,
): readonly Adjustment[] {
  if (place.standing.length === 0) return [];
  const now: Adjusted = {
    x: mirrored(hand, frame.x),
    depth: frame.depth,
    ulnarDeviation: frame.ulnarDeviation,
    leaning: place.way.tilt === "leaning",
  };
  const strainAs = ({ x, depth, ulnarDeviation, leaning }: Adjusted): number => {
    const way = { shape: place.way.shape, tilt: leaning ? ("leaning" as const) : ("upright" as const) };
    return lyingAs(hand, { ...place, way }, x, depth, ulnarDeviation).strain + offCentreStrain(x, place.within);
  };
  const before = strainAs(now);
  return TRIES.flatMap(({ id, words, change, gain }): Adjustment[] => {
    const changed = change(now);
    if (!isWithin(hand, place, changed)) return [];
    const strain = before - strainAs(changed);
    const clearance = near?.gains.find((g) => g.change === gain)?.mm ?? 0;
    const isSame = Math.abs(strain) < PLAN.worthTrying.strain && clearance < PLAN.worthTrying.clearance;
    return isSame || !Number.isFinite(strain)
      ? []
      : [{ id, words, strain, clearance, ...lyingThen(hand, frame, place, changed) }];
  }).sort((a, b) => worth(b) - worth(a));
}

function lyingThen(
  hand: Hand,
  frame: PlanFrame,
  place: Place,
  { x, depth, ulnarDeviation, leaning }: Adjusted,
): Pick<Adjustment, "tips" | "wrist"> {
  const { y } = lyingAs(hand, place, x, depth, ulnarDeviation);
  const supination =
    leaning === (place.way.tilt === "leaning") ? frame.supination : leaning ? PLACEMENT.leanDegrees : 0;
  return {
    tips: new Map(frame.tips.map(({ finger, at }, i) => [finger, { x: at.x, y: y[i]! }])),
    wrist: wristAt({ hand }, { x, depth, ulnarDeviation, supination }),
  };
}

function worth({ strain, clearance }: Adjustment): number {
  return strain + clearance * PLAN.strainPerClearance;
}

/**
 * Strain of fingers that reach sideways from a hand that lies outside the stretch in which all reach in comfort. By the figures
 * of uneven tips: a choice.
 */
function offCentreStrain(x: number, { least, most }: PlaceBounds): number {
  return (100 * Math.max(0, least - x, x - most)) / PLACEMENT.mostUneven;
}

function isWithin(hand: Hand, place: Place, { x, depth, ulnarDeviation }: Adjusted): boolean {
  const [side, turn] = [sideways(hand, place), turned(hand, place, x, depth)];
  const depths = inward(hand, place, x, ulnarDeviation);
  const inside = (value: number, { least, most }: { least: number; most: number }): boolean =>
    value >= least && value <= most;
  return inside(x, side) && inside(depth, depths) && inside(ulnarDeviation, turn);
}
