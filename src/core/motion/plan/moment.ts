import { FINGERS, type Finger } from "../../hand/finger";
import { limitsOf, type Hand } from "../../hand/hand";
import { poseOf, type Point, type Pose } from "../../hand/pose";
import { MOTION, PLAN } from "../../physics";
import { mirrored } from "../../placement/standing";
import type { HandPlan } from "./hand-plan";
import { coordinatesAt, wristAt, type PlanFrame } from "../path/path";

/** What a finger does at a moment. */
export type FingerState = "active" | "held" | "loose";

/** A hand at a moment of its plan, between onsets as well. */
export interface HandMoment {
  readonly pose: Pose;
  /** mm of the wrist over its level. */
  readonly height: number;
  /** Degrees of the forearm's turn, positive towards the little finger. */
  readonly supination: number;
  readonly fingers: Readonly<Record<Finger, FingerState>>;
  /** Fingers that are down on black keys. */
  readonly onBlack: readonly Finger[];
  /** Whether the hand may close now: nothing is down, or all that is may be left, and there is time before the next place. */
  readonly mayClose: boolean;
}

/**
 * The hand of a plan at a moment in ms from the start of the piece: fingers that are down exactly on their contacts, the
 * others at rest about the hand or on the way. null for a hand that plays nothing.
 */
export function handAt(plan: HandPlan, ms: number): HandMoment | null {
  const { frames, hand, path } = plan;
  const at = lastBefore(frames, ms);
  const frame = frames[at];
  if (!frame) return null;
  const place = coordinatesAt(path, ms);
  const wrist = wristAt({ hand }, place);
  const reach = reachAt(hand, place.x);
  const down = downAt(frames, at, ms, reach);
  const contacts = new Map([...down].map(([finger, { point }]) => [finger, point]));
  const loose = poseOf(hand, new Map<Finger, Point>([[3, middleOf(plan, place)]]), wrist)!;
  const pose = contacts.size > 0 ? poseOf(hand, contacts, wrist)! : loosened(loose);
  const coming = comingTo(frames[at + 1], ms);
  const release = plan.releases[at];
  const free = frame.ms + (release ? frames[at + 1]!.ms - frame.ms - release.time : 0);
  return {
    pose: coming === null ? pose : approaching(pose, coming, down, reach),
    height: place.height,
    supination: place.supination,
    fingers: Object.fromEntries(FINGERS.map((finger) => [finger, stateOf(finger, frame, down, ms)])) as Record<
      Finger,
      FingerState
    >,
    onBlack: [...down].flatMap(([finger, { isBlack }]) => (isBlack ? [finger] : [])),
    mayClose: release ? release.window >= MOTION.closeMs && ms >= free && ms <= free + release.window : down.size === 0,
  };
}

/** Place of the last frame that has begun; the first before it has. */
function lastBefore(frames: readonly PlanFrame[], ms: number): number {
  let at = 0;
  while (at + 1 < frames.length && frames[at + 1]!.ms <= ms) at++;
  return at;
}

interface Down {
  readonly point: Point;
  readonly struckAt: number;
  readonly isBlack: boolean;
}

/** mm along the keys in which each finger of a hand that lies somewhere reaches, as it lies on the keyboard. */
type Reach = (finger: Finger) => { readonly least: number; readonly most: number };

function reachAt(hand: Hand, middle: number): Reach {
  return (finger) => {
    const { leastPractical, widestPractical } =
      finger === 3
        ? { leastPractical: -PLAN.middleSideways, widestPractical: PLAN.middleSideways }
        : limitsOf(hand, finger, 3);
    const [near, far] = finger < 3 ? [-widestPractical, -leastPractical] : [leastPractical, widestPractical];
    const ends = [mirrored(hand, middle + near), mirrored(hand, middle + far)] as const;
    return { least: Math.min(...ends) - PLAN.reachGive, most: Math.max(...ends) + PLAN.reachGive };
  };
}

/**
 * Fingers that are on their keys: struck or held, not yet sounded out, and still within reach: where the hand is carried away
 * the finger goes with it, however the note is bound.
 */
function downAt(frames: readonly PlanFrame[], at: number, ms: number, reach: Reach): ReadonlyMap<Finger, Down> {
  const frame = frames[at]!;
  const down = new Map<Finger, Down>();
  for (const { finger, stroke } of [...frame.frame.held, ...frame.frame.struck]) {
    const tip = frame.tips.find((t) => t.finger === finger);
    const end = stroke.ms + stroke.soundsMs;
    const isNext = frames[at + 1]?.ms ?? Infinity;
    // A note without an end of its own is left as the next one comes.
    if (!tip) continue;
    const { least, most } = reach(finger);
    const isReached = ms <= frame.ms || (tip.at.x >= least && tip.at.x <= most);
    if (isReached && ms <= Math.min(end, Number.isFinite(end) ? Infinity : isNext))
      down.set(finger, { point: tip.at, struckAt: stroke.ms, isBlack: tip.part === "top" });
  }
  return down;
}

function stateOf(
  finger: Finger,
  { ms: struckAt }: PlanFrame,
  down: ReadonlyMap<Finger, Down>,
  ms: number,
): FingerState {
  const at = down.get(finger);
  if (!at) return "loose";
  return at.struckAt >= struckAt - 1 && ms - at.struckAt <= PLAN.active ? "active" : "held";
}

/** Where the middle finger rests in a hand that lies so. */
function middleOf({ hand }: HandPlan, { x, depth }: { readonly x: number; readonly depth: number }): Point {
  return { x: hand.side === "right" ? x : -x, y: depth - hand.behind[2]! };
}

function loosened(pose: Pose): Pose {
  return { ...pose, fingers: pose.fingers.map((f) => ({ ...f, playing: false })) };
}

/** Fingers of the next onset, and how far they have come: 0 at rest to 1 on their keys; null while there is time. */
function comingTo(
  next: PlanFrame | undefined,
  ms: number,
): { readonly tips: PlanFrame["tips"]; readonly share: number } | null {
  if (!next) return null;
  const left = next.ms - ms;
  if (left > PLAN.approach || left < 0) return null;
  const share = 1 - left / PLAN.approach;
  return { tips: next.tips, share: share * share * (3 - 2 * share) };
}

function approaching(
  pose: Pose,
  { tips, share }: NonNullable<ReturnType<typeof comingTo>>,
  down: ReadonlyMap<Finger, Down>,
  reach: Reach,
): Pose {
  const mix = (a: Point, b: Point): Point => ({ x: a.x + share * (b.x - a.x), y: a.y + share * (b.y - a.y) });
  return {
    ...pose,
    fingers: pose.fingers.map((f) => {
      const to = tips.find((t) => t.finger === f.finger);
      if (!to || down.has(f.finger)) return f;
      const { least, most } = reach(f.finger);
      return { ...f, tip: mix(f.tip, { x: Math.min(most, Math.max(least, to.at.x)), y: to.at.y }) };
    }),
  };
}
