import type { Finger } from "../../hand/finger";
import type { Hand } from "../../hand/hand";
import type { Frame, Press } from "../../fingering/frames/frame";
import type { Task } from "../../fingering/study/task";
import { COMFORT, HAND, PLACEMENT, PLAN } from "../../physics";
import { scaleOf } from "../../hand/hand";
import { leastAt, widestAt } from "../../hand/limits";
import { evaluate, pivotOf, unevenness } from "../../placement/evaluate";
import { total } from "../../placement/causes";
import type { Held, Hold } from "../../placement/placement";
import { solvePlacement } from "../../placement/solve";
import { mirrored, standingOf, type TipStanding } from "../../placement/standing";
import { limitsIn, type Shape, type Way } from "../../placement/ways";
import { textureAt, type Texture } from "../hand/texture";

/**
 * What the fingers that are down at an onset leave the hand free to do, in the hand's own coordinates: x rises towards
 * finger 5 in either hand.
 */
export interface Place {
  readonly frame: Frame;
  readonly texture: Texture;
  readonly way: Way;
  /** Tips in order of x; empty where nothing is down, or nothing that is down can be held. */
  readonly standing: readonly TipStanding[];
  readonly tips: Held["tips"];
  /** mm, mirrored, by tip. */
  readonly x: readonly number[];
  /** mm, where the middle of the hand lies over its notes, each finger as at rest; and the stretch in which all reach at ease. */
  readonly ease: number;
  readonly within: PlaceBounds;
  readonly ulnarDeviation: number;
  /** Of the easiest placement, 0 to 100; 0 where nothing is down. */
  readonly strain: number;
}

/** Shapes solved anew for a plan, kept as long as it is made. */
type KnownPlacements = Map<string, Held | null>;

/** The place of each onset: the easiest placement in the shape that its texture asks for, or in the easiest shape. */
export function placesOf(task: Task, frames: readonly Frame[]): readonly Place[] {
  const solved: KnownPlacements = new Map();
  return frames.map((frame, i) => placeOf(task, frame, textureAt(task, frames, i), solved));
}

function placeOf(task: Task, frame: Frame, texture: Texture, solved: KnownPlacements): Place {
  const held = heldAt(task, frame, texture.shape, solved);
  if (held === null) return nowhere(frame, texture);
  const { hand, instrument } = task;
  const tips = [...held.tips].sort((a, b) => mirrored(hand, a.at.x) - mirrored(hand, b.at.x));
  const standing = tips.map((tip) => standingOf(hand, instrument, tip));
  const x = tips.map((tip) => mirrored(hand, tip.at.x));
  const ease = x.reduce((sum, at, i) => sum + at - restOf(hand, standing[i]!), 0) / x.length;
  const reason = held.shape === texture.shape ? texture : { shape: held.shape, why: "the keys ask for it" };
  return {
    frame,
    texture: reason,
    way: held,
    standing,
    tips,
    x,
    ease,
    within: reachingAll(
      hand,
      held,
      standing.map(({ finger }) => finger),
      x,
      { ease, strain: PLAN.easeStrain },
    ),
    ulnarDeviation: held.wrist.ulnarDeviation,
    strain: held.strain,
  };
}

function nowhere(frame: Frame, texture: Texture): Place {
  const way: Way = { shape: texture.shape, tilt: "upright" };
  return {
    frame,
    texture,
    way,
    standing: [],
    tips: [],
    x: [],
    ease: frame.centre,
    within: FREE,
    ulnarDeviation: 0,
    strain: 0,
  };
}

/** mm from the foremost tip of a hand at ease back to its wrist. */
export function lengthOf(hand: Hand): number {
  return HAND.tipToWrist * scaleOf(hand);
}

function restOf(hand: Hand, { finger }: TipStanding): number {
  return hand.restOffsets[finger - 1]!;
}

/** What is down, as it can be held: all of it, else what is struck, else its first finger. null where nothing is down. */
function heldAt(task: Task, { struck, held }: Frame, shape: Shape, solved: KnownPlacements): Held | null {
  const tries: readonly (readonly Press[])[] = [[...struck, ...held], struck, struck.slice(0, 1)];
  for (const down of tries) {
    if (down.length === 0) continue;
    const easiest = task.placements.place(down);
    if (easiest.kind !== "held") continue;
    if (easiest.shape === shape) return easiest;
    const wanted = inShape(task, down, shape, solved);
    return wanted !== null && wanted.strain <= easiest.strain + PLAN.shapeGrace ? wanted : easiest;
  }
  return null;
}

function inShape(task: Task, down: readonly Hold[], shape: Shape, solved: KnownPlacements): Held | null {
  const key = `${shape} ${down.map((h) => `${h.finger}:${h.key}`).join()}`;
  if (!solved.has(key)) {
    const fingers = new Set(down.map((h) => h.finger));
    const working: Hand = { ...task.hand, resting: [] };
    const found =
      fingers.size < down.length ? null : solvePlacement(working, task.instrument, down, { shapes: [shape] });
    solved.set(key, found?.kind === "held" ? found : null);
  }
  return solved.get(key)!;
}

export interface PlaceBounds {
  readonly least: number;
  readonly most: number;
}

/** No bound at all. */
export const FREE: PlaceBounds = { least: -Infinity, most: Infinity };

/**
 * Where the middle of the hand may lie: every finger that is down no farther from it than the pair it makes with the
 * middle finger opens or closes, in the shape and tilt of the place; the middle finger itself by what it moves sideways.
 */
export function sideways(hand: Hand, { standing, way, x, ease }: Place): PlaceBounds {
  const fingers = standing.map(({ finger }) => finger);
  const bounds = middleWithin(hand, way, fingers, x, 2 * COMFORT, PLAN.middleSideways);
  return bounds.least <= bounds.most ? bounds : { least: ease, most: ease };
}

/**
 * Where the middle of the hand may lie so that no finger that is down strains more than this to reach its key: the hand has
 * no need to move before a key lies outside. The same up to the comfortable limit where no such place is, and the point of
 * ease where none is there either.
 */
export function reachingAll(
  hand: Hand,
  way: Way,
  fingers: readonly Finger[],
  x: readonly number[],
  { ease, strain }: { readonly ease: number; readonly strain: number },
): PlaceBounds {
  for (const upTo of [strain, COMFORT]) {
    const bounds = middleWithin(hand, way, fingers, x, upTo, PLAN.middleEase);
    if (bounds.least <= bounds.most) return bounds;
  }
  return { least: ease, most: ease };
}

/** Bounds of the middle by how far every finger that is down opens and closes at a strain with the middle finger, whose own are given in mm. */
function middleWithin(
  hand: Hand,
  way: Way,
  fingers: readonly Finger[],
  x: readonly number[],
  strain: number,
  own: number,
): PlaceBounds {
  let [least, most] = [-Infinity, Infinity];
  fingers.forEach((finger, i) => {
    const at = x[i]!;
    if (finger === 3) {
      least = Math.max(least, at - own);
      most = Math.min(most, at + own);
      return;
    }
    const limits = limitsIn(hand, finger, 3, way);
    const [closest, widest] = [leastAt(limits, strain), widestAt(limits, strain)];
    least = Math.max(least, finger < 3 ? at + closest : at - widest);
    most = Math.min(most, finger < 3 ? at + widest : at - closest);
  });
  return { least, most };
}

/**
 * How far in the hand may lie with its middle at a place and turned by degrees: no tip farther from where it would lie at
 * ease than fingers reach in or out.
 */
export function inward(hand: Hand, place: Place, middle: number, ulnarDeviation: number): PlaceBounds {
  return depthWithin(hand, place, middle, ulnarDeviation, PLACEMENT.mostUneven);
}

/** The same with every tip on its key as the hand at ease has it. */
export function inwardAtEase(hand: Hand, place: Place, middle: number, ulnarDeviation: number): PlaceBounds {
  return depthWithin(hand, place, middle, ulnarDeviation, PLACEMENT.freeUneven);
}

/** mm, how far in the hand lies where each finger that is down touches its key at its usual depth. */
export function usualDepth(hand: Hand, place: Place, middle: number, ulnarDeviation: number): number {
  const turn = Math.tan((ulnarDeviation * Math.PI) / 180);
  const depths = place.standing.map((at) => contactDepth(at) + behindOf(hand, place, at) + (at.middle - middle) * turn);
  return depths.reduce((sum, depth) => sum + depth, 0) / Math.max(1, depths.length);
}

/** mm from the white fronts at which a finger usually touches its key: the thumb near the edge, long fingers farther in. */
function contactDepth({ finger, spot }: TipStanding): number {
  const usual = spot.part === "head" ? PLAN.contactDepth[finger - 1]! : spot.usual;
  return Math.min(spot.back, Math.max(spot.front, usual));
}

function depthWithin(hand: Hand, place: Place, middle: number, ulnarDeviation: number, uneven: number): PlaceBounds {
  let [least, most] = [-Infinity, Infinity];
  for (const standing of place.standing) {
    const reach = uneven + pivotOf(standing.finger);
    const off =
      behindOf(hand, place, standing) + (standing.middle - middle) * Math.tan((ulnarDeviation * Math.PI) / 180);
    least = Math.max(least, standing.spot.front - reach + off);
    most = Math.min(most, standing.spot.back + reach + off);
  }
  return least <= most ? { least, most } : FREE;
}

/** How far the hand may be turned, in degrees, with its middle and its depth given. */
export function turned(hand: Hand, place: Place, middle: number, depth: number): PlaceBounds {
  let [least, most] = [-PLACEMENT.deviationMost[1], PLACEMENT.deviationMost[0]] as [number, number];
  for (const standing of place.standing) {
    const beside = standing.middle - middle;
    if (Math.abs(beside) < 1) continue;
    const reach = PLACEMENT.mostUneven + pivotOf(standing.finger);
    const back = depth - behindOf(hand, place, standing);
    const ends = [back - standing.spot.back - reach, back - standing.spot.front + reach].map(
      (room) => (Math.atan(room / beside) * 180) / Math.PI,
    );
    least = Math.max(least, Math.min(...ends));
    most = Math.min(most, Math.max(...ends));
  }
  return { least, most };
}

function behindOf(hand: Hand, { way }: Place, { finger }: TipStanding): number {
  return hand.behindFlat[finger - 1]! * PLACEMENT.reachDifference[way.shape];
}

/** Where each tip stands in and out, mm from the white fronts by the order of the tips, and the strain of the hand as it lies; Infinity where a limit is broken. */
export function lyingAs(
  hand: Hand,
  place: Place,
  middle: number,
  depth: number,
  ulnarDeviation: number,
): { readonly y: readonly number[]; readonly strain: number } {
  const { standing, way, x } = place;
  const front = depth + middle * Math.tan((ulnarDeviation * Math.PI) / 180);
  const y = standing.map((at) => {
    const ease = -unevenness(hand, way.shape, at, 0, front, ulnarDeviation);
    const free = PLACEMENT.freeUneven + pivotOf(at.finger);
    const near = Math.min(ease + free, Math.max(ease - free, contactDepth(at)));
    return Math.min(at.spot.back, Math.max(at.spot.front, near));
  });
  const strain = total(evaluate(hand, way, standing, { x, y, front, ulnarDeviation }));
  return { y, strain: Number.isFinite(strain) ? Math.min(100, strain) : strain };
}
