import type { Hand } from "../../hand/hand";
import type { Finger } from "../../hand/finger";
import type { Point, Wrist } from "../../hand/pose";
import { PLACEMENT, PLAN } from "../../physics";
import { mirrored } from "../../placement/standing";
import type { Clearance } from "../hand/clearance";
import { inward, lyingAs, sideways, turned, type Place, type PlaceBounds } from "../path/place";
import { clockOver, type Clock } from "../path/clock";
import { lyingThrough, wristAt, type Fixed, type PlanFrame } from "../path/path";
import type { HandPlan } from "./hand-plan";

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
 * Small changes at an onset that its limits allow, what helps most first. A change that does nothing is left out. What each
 * gains is found by solving the way anew with it, over the onsets about it: what it costs beside this onset counts too.
 * @param at place of the onset
 * @param near the clearance at this onset; null where no key is near
 * @param about onsets to either side over which the way is solved anew
 */
export function adjustmentsAt(
  { hand, path, frames }: Pick<HandPlan, "hand" | "path" | "frames">,
  at: number,
  near: Clearance | null,
  about: number = PLAN.adjustAbout,
): readonly Adjustment[] {
  const place = path.places[at]!;
  const frame = frames[at]!;
  if (place.standing.length === 0) return [];
  const window = windowAbout(path, at, about);
  const now: Adjusted = {
    x: mirrored(hand, frame.x),
    depth: frame.depth,
    ulnarDeviation: frame.ulnarDeviation,
    leaning: place.way.tilt === "leaning",
  };
  const before = strainOver(hand, window, now, now);
  return TRIES.flatMap(({ id, words, change, gain }): Adjustment[] => {
    const changed = change(now);
    if (!isWithin(hand, place, changed)) return [];
    const strain = before - strainOver(hand, window, now, changed);
    const clearance = near?.gains.find((g) => g.change === gain)?.mm ?? 0;
    const isSame = Math.abs(strain) < PLAN.worthTrying.strain && clearance < PLAN.worthTrying.clearance;
    return isSame || !Number.isFinite(strain)
      ? []
      : [{ id, words, strain, clearance, ...lyingThen(hand, frame, place, changed) }];
  }).sort((a, b) => worth(b) - worth(a));
}

/** The onsets about one, with the clock of their knots. */
interface Window {
  readonly places: readonly Place[];
  readonly aims: readonly number[];
  readonly clock: Clock;
  /** Place of the onset among them. */
  readonly at: number;
}

function windowAbout({ places, aims, times }: HandPlan["path"], at: number, about: number): Window {
  const from = Math.max(0, at - about);
  const to = Math.min(places.length - 1, at + about);
  const some = places.slice(from, to + 1);
  const within = times.flatMap((time) => (time.of < from || time.of > to ? [] : [{ ...time, of: time.of - from }]));
  return { places: some, aims: aims.slice(from, to + 1), clock: clockOver(within, some), at: at - from };
}

/** Strain over a window in which the hand lies at its onset as it is told, and elsewhere as it then would. */
function strainOver(hand: Hand, { places, aims, clock, at }: Window, now: Adjusted, then: Adjusted): number {
  const fixed: Fixed = {
    at,
    ...(then.x === now.x ? {} : { x: then.x }),
    ...(then.depth === now.depth ? {} : { depth: then.depth }),
    ...(then.ulnarDeviation === now.ulnarDeviation ? {} : { ulnarDeviation: then.ulnarDeviation }),
  };
  const ways = lyingThrough(hand, clock, aims, fixed);
  return places.reduce((sum, place, i) => {
    if (place.standing.length === 0) return sum;
    const k = clock.onsets[i]!;
    const tilt = then.leaning ? ("leaning" as const) : ("upright" as const);
    const lying = i === at ? { ...place, way: { shape: place.way.shape, tilt } } : place;
    const [x, depth, turn] = [ways.x.x[k]!, ways.depth.x[k]!, ways.ulnarDeviation.x[k]!];
    return sum + lyingAs(hand, lying, x, depth, turn).strain + offCentreStrain(x, place.within);
  }, 0);
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
