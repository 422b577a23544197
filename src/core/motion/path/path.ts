import type { Frame } from "../../fingering/frames/frame";
import type { Task } from "../../fingering/study/task";
import type { NoteId } from "../../passage/note";
import type { Hand } from "../../hand/hand";
import type { Wrist } from "../../hand/pose";
import { PLACEMENT, PLAN } from "../../physics";
import { pivotOf, unevenness } from "../../placement/evaluate";
import type { Tip } from "../../placement/placement";
import { mirrored } from "../../placement/standing";
import type { Shape, Tilt } from "../../placement/ways";
import { heightsWanted } from "./height";
import {
  inward,
  inwardAtEase,
  lengthOf,
  lyingAs,
  placesOf,
  sideways,
  turned,
  usualDepth,
  type PlaceBounds,
  type Place,
} from "./place";
import { clockOver, meeting, timesOf, type Clock, type KnotTime, type Wanted } from "./clock";
import { shortestThrough } from "./shortest";
import { valueAt, type Course } from "./smooth";
import type { Texture } from "../hand/texture";
import { rollsWanted } from "../hand/turn";

/** How a hand lies at an onset of its plan. Lengths in mm, in keyboard coordinates. */
export interface PlanFrame {
  readonly frame: Frame;
  /** Notes struck. */
  readonly notes: readonly NoteId[];
  readonly ms: number;
  /** x of the middle of the hand. */
  readonly x: number;
  /** The nearest x at which the middle would lie so that all fingers reach their keys in comfort. */
  readonly ease: number;
  /** y at which the foremost fingertip would stand at ease. */
  readonly depth: number;
  /** Of the wrist over its level. */
  readonly height: number;
  /** Degrees at the wrist, positive towards the little finger. */
  readonly ulnarDeviation: number;
  /** Degrees of the forearm's turn, positive towards the little finger. */
  readonly supination: number;
  readonly shape: Shape;
  readonly tilt: Tilt;
  readonly texture: Texture;
  readonly tips: readonly Tip[];
  readonly wrist: Wrist;
  /** Of the placement as the plan has it, 0 to 100; Infinity where a limit of the hand is broken. */
  readonly strain: number;
  /**
   * How far the middle of the hand may lie along the keys, and how far in or out it may, so that this hand's fingers
   * reach what is down while the rest stays as planned; null where they leave it free.
   */
  readonly room: Readonly<Record<"x" | "depth", PlaceBounds | null>>;
  /** mm that the thumb reaches in (or, negative, out) of where the hand has it at ease and it swings by itself; 0 where it need not. */
  readonly thumbReach: number;
  /** mm by which all that is down cannot be held together, 0 where depth forbids it; null where it can. */
  readonly short: number | null;
}

/** The planned way of one hand: what it does at every onset, and between them at any moment. */
export interface Path {
  readonly frames: readonly PlanFrame[];
  readonly places: readonly Place[];
  /** Where the shortest way along the keys leads on which all fingers reach at ease: mm, mirrored, a place each. */
  readonly aims: readonly number[];
  /** The knots of its ways. */
  readonly times: readonly KnotTime[];
  /** mm, mirrored so that x rises towards finger 5; degrees for ulnarDeviation and supination. */
  readonly ways: Readonly<Record<Coordinate, Course>>;
}

const COORDINATES = ["x", "depth", "height", "ulnarDeviation", "supination"] as const;
export type Coordinate = (typeof COORDINATES)[number];

/** Rounds of turning and going in after one another; each only lowers the whole. */
const ROUNDS = 2;

/**
 * The smoothest path of a hand through all its onsets.
 *
 * Coordinates are found one after another, each the exact minimum of acceleration and departure from ease (smooth.ts)
 * within the bounds that the fingers on their keys leave while the others stand (place.ts): sideways first, then in and
 * out and ulnarDeviation by turns. Together the limits are not convex, but each of these is, and each begins inside its bounds, so
 * that no step leaves them; every frame is then priced by the placement solver's own evaluation, which is Infinity
 * where a limit is broken. Where fingers stay down over an onset or sound on, the hand is bound until it may leave.
 * @param starts places of the onsets that begin a group
 */
export function pathOf(task: Task, frames: readonly Frame[], starts: ReadonlySet<number>): Path {
  const places = placesOf(task, frames);
  const clock = clockOver(timesOf(task, frames), places);
  const aims = aimsOf(task.hand, places);
  const { x, depth, ulnarDeviation } = lyingThrough(task.hand, clock, aims);
  const heights = heightsWanted(places, starts);
  const supinations = rollsWanted(places);
  const [under, over] = PLAN.heightMost;
  const height = clock.smoothed((_, __, i) => ({ ease: heights[i]!, least: -under, most: over }), {
    lifted: PLAN.heightOfGroup / 2,
  });
  const [thumb, little] = PLAN.supinationMost;
  const supination = clock.smoothed((_, __, i) => ({ ease: supinations[i]!, least: -thumb, most: little }));
  const ways = { x, depth, height, ulnarDeviation, supination };
  const frameOf = (place: Place, i: number): PlanFrame => frameAt(task, place, ways, clock.onsets[i]!);
  return { places, aims, times: clock.times, ways, frames: places.map(frameOf) };
}

/** Where a hand is to lie at one onset whatever it would like; what is not named is left to it. */
export type Fixed = { readonly at: number } & Partial<Readonly<Record<"x" | "depth" | "ulnarDeviation", number>>>;

/** Where the shortest way along the keys leads on which all fingers reach at ease, onset by onset: mm, mirrored. */
function aimsOf(hand: Hand, places: readonly Place[]): readonly number[] {
  return shortestThrough(places.map((at) => ({ ease: at.ease, ...meeting(at.within, sideways(hand, at)) })));
}

/**
 * How a hand lies through the knots of a clock: sideways, in and out, and turned.
 * @param aims by onset, see Path
 */
export function lyingThrough(
  hand: Hand,
  clock: Clock,
  aims: readonly number[],
  fixed: Fixed | null = null,
): Readonly<Record<"x" | "depth" | "ulnarDeviation", Course>> {
  const unless = (name: "x" | "depth" | "ulnarDeviation", onset: number, wanted: Wanted): Wanted => {
    const value = fixed?.at === onset ? fixed[name] : undefined;
    return value === undefined ? wanted : { ease: value, least: value, most: value };
  };
  const x = clock.smoothed((at, _, i) => unless("x", i, { ease: aims[i]!, within: at.within, ...sideways(hand, at) }), {
    shorten: PLAN.shorten,
  });
  let ulnarDeviation = clock.smoothed((at) => ({
    ease: at.ulnarDeviation,
    least: at.ulnarDeviation,
    most: at.ulnarDeviation,
  }));
  let depth = ulnarDeviation;
  for (let round = 0; round < ROUNDS; round++) {
    const turns = ulnarDeviation;
    depth = clock.smoothed(
      (at, k, i) =>
        unless("depth", i, {
          ease: usualDepth(hand, at, x.x[k]!, turns.x[k]!),
          within: inwardAtEase(hand, at, x.x[k]!, turns.x[k]!),
          ...inward(hand, at, x.x[k]!, turns.x[k]!),
        }),
      { isBound: false },
    );
    const depths = depth;
    ulnarDeviation = clock.smoothed((at, k, i) =>
      unless("ulnarDeviation", i, { ease: at.ulnarDeviation, ...turned(hand, at, x.x[k]!, depths.x[k]!) }),
    );
  }
  return { x, depth, ulnarDeviation };
}

function frameAt(task: Task, place: Place, ways: Path["ways"], k: number): PlanFrame {
  const { hand } = task;
  const [middle, depth, ulnarDeviation] = [ways.x.x[k]!, ways.depth.x[k]!, ways.ulnarDeviation.x[k]!];
  const { y, strain } = lyingAs(hand, place, middle, depth, ulnarDeviation);
  const { frame } = place;
  return {
    frame,
    notes: frame.struck.flatMap((p) => p.stroke.notes),
    ms: frame.onset.ms,
    x: mirrored(hand, middle),
    ease: mirrored(hand, Math.min(place.within.most, Math.max(place.within.least, middle))),
    depth,
    height: ways.height.x[k]!,
    ulnarDeviation,
    supination: ways.supination.x[k]!,
    shape: place.way.shape,
    tilt: place.way.tilt,
    texture: place.texture,
    tips: place.tips.map((tip, i) => ({ ...tip, at: { x: tip.at.x, y: y[i]! } })),
    wrist: wristAt(task, { x: middle, depth, ulnarDeviation, supination: ways.supination.x[k]! }),
    strain,
    room: {
      x: bounded(across(hand, sideways(hand, place))),
      depth: bounded(inward(hand, place, middle, ulnarDeviation)),
    },
    thumbReach: thumbReachOf(hand, place, y, middle, depth, ulnarDeviation),
    short: shortOf(task, place),
  };
}

function thumbReachOf(
  hand: Hand,
  { standing, way }: Place,
  y: readonly number[],
  middle: number,
  depth: number,
  ulnarDeviation: number,
): number {
  const at = standing.findIndex(({ finger }) => finger === 1);
  if (at < 0) return 0;
  const front = depth + middle * Math.tan((ulnarDeviation * Math.PI) / 180);
  const off = unevenness(hand, way.shape, standing[at]!, y[at]!, front, ulnarDeviation);
  const free = PLACEMENT.freeUneven + pivotOf(1);
  return Math.sign(off) * Math.max(0, Math.abs(off) - free);
}

/** Bounds along the keys as they lie on the keyboard, from the hand's own coordinates. */
function across(hand: Hand, { least, most }: PlaceBounds): PlaceBounds {
  const [one, other] = [mirrored(hand, least), mirrored(hand, most)];
  return { least: Math.min(one, other), most: Math.max(one, other) };
}

function bounded(bounds: PlaceBounds): PlaceBounds | null {
  return Number.isFinite(bounds.least) && Number.isFinite(bounds.most) ? bounds : null;
}

function shortOf(task: Task, { tips, frame: { struck, held } }: Place): number | null {
  if (tips.length === struck.length + held.length) return null;
  const found = task.placements.look([...struck, ...held]);
  return found.kind === "held" ? null : (found.short?.mm ?? 0);
}

/** The wrist in keyboard coordinates, from the middle of the hand in its own. */
export function wristAt(
  { hand }: Pick<Task, "hand">,
  at: Readonly<Record<"x" | "depth" | "ulnarDeviation" | "supination", number>>,
): Wrist {
  const turn = (at.ulnarDeviation * Math.PI) / 180;
  const length = lengthOf(hand);
  return {
    at: { x: mirrored(hand, at.x - length * Math.sin(turn)), y: at.depth - length * Math.cos(turn) },
    ulnarDeviation: at.ulnarDeviation,
    supination: at.supination,
  };
}

/** All coordinates of a path at a moment, in ms from the start of the piece. */
export function coordinatesAt({ ways }: Pick<Path, "ways">, ms: number): Readonly<Record<Coordinate, number>> {
  return Object.fromEntries(COORDINATES.map((c) => [c, valueAt(ways[c], ms)])) as Record<Coordinate, number>;
}
