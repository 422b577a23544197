import { DRAWN_HAND, HAND } from "../physics";
import { FINGERS, type Finger } from "./finger";
import { scaleOf, type Hand } from "./hand";

/** A point over the keyboard in mm: x along the keys, y from the white fronts towards the fallboard. */
export interface Point {
  readonly x: number;
  readonly y: number;
}

/** A fingertip and the joint it grows from. */
export interface FingerDrawn {
  readonly finger: Finger;
  readonly tip: Point;
  readonly knuckle: Point;
  /** mm across the tip. */
  readonly width: number;
  /** Whether the tip is on a key: then it is where the fingering was priced. */
  readonly playing: boolean;
}

export interface Pose {
  readonly fingers: readonly FingerDrawn[];
  readonly wrist: Point;
}

/** Where the wrist is. x and y in keyboard coordinates, mm. */
export interface Wrist {
  readonly at: Point;
  /** Degrees sideways, positive towards the little finger. */
  readonly ulnarDeviation: number;
  /** Degrees of the forearm's turn, positive towards the little finger. */
  readonly supination: number;
}

/**
 * How a hand lies when some of its fingers are on keys: those exactly on their contacts, the others loose
 * where they rest. In keyboard coordinates, the left hand as the mirror of the right.
 * @param contacts at least one finger with its contact in mm; without any the pose is null
 * @param wrist where a placement has it; without one it lies straight behind the fingers
 */
export function poseOf(hand: Hand, contacts: ReadonlyMap<Finger, Point>, wrist?: Wrist): Pose | null {
  if (contacts.size === 0) return null;
  const mirror = hand.side === "right" ? 1 : -1;
  const scale = scaleOf(hand);
  const at = wrist ?? straightBehind(hand, contacts);
  const turn = (at.ulnarDeviation * Math.PI) / 180;
  // A point of the hand by its place along and ahead of the wrist, the right hand unturned.
  const inHand = (along: number, ahead: number): Point => ({
    x: at.at.x + mirror * (along * Math.cos(turn) + ahead * Math.sin(turn)),
    y: at.at.y + ahead * Math.cos(turn) - along * Math.sin(turn),
  });
  const fingers = FINGERS.map((finger): FingerDrawn => {
    const contact = contacts.get(finger);
    const rest = inHand(hand.restOffsets[finger - 1]!, HAND.tipToWrist * scale - hand.behind[finger - 1]!);
    const tip = contact ?? between(rest, finger, contacts, mirror);
    const back =
      finger === 1 ? DRAWN_HAND.thumbBase : DRAWN_HAND.knuckles + Math.abs(finger - 3) * DRAWN_HAND.knuckleArch;
    const steps = finger === 1 ? DRAWN_HAND.thumbJoint : finger - 3 + DRAWN_HAND.thirdKnuckle;
    const knuckle = inHand(steps * DRAWN_HAND.knuckleStep * scale, (HAND.tipToWrist - back) * scale);
    return { finger, tip, knuckle, width: hand.tipWidths[finger - 1]!, playing: contact !== undefined };
  });
  return { fingers, wrist: inHand(-DRAWN_HAND.wristAside * scale, 0) };
}

/** A pose on the straight way from one to another of the same hand. @param share 0 at the first, 1 at the second */
export function poseBetween(from: Pose, to: Pose, share: number): Pose {
  const mix = (a: Point, b: Point): Point => ({ x: a.x + share * (b.x - a.x), y: a.y + share * (b.y - a.y) });
  return {
    wrist: mix(from.wrist, to.wrist),
    fingers: from.fingers.map((f, i) => {
      const other = to.fingers[i]!;
      const near = share < 0.5 ? f : other;
      return { ...near, tip: mix(f.tip, other.tip), knuckle: mix(f.knuckle, other.knuckle) };
    }),
  };
}

function straightBehind(hand: Hand, contacts: ReadonlyMap<Finger, Point>): Wrist {
  const mirror = hand.side === "right" ? 1 : -1;
  const x = mean([...contacts].map(([finger, at]) => at.x - mirror * hand.restOffsets[finger - 1]!));
  const front = mean([...contacts].map(([finger, at]) => at.y + hand.behind[finger - 1]!));
  return { at: { x, y: front - HAND.tipToWrist * scaleOf(hand) }, ulnarDeviation: 0, supination: 0 };
}

/**
 * A loose finger keeps to its side of the fingers that play. The thumb passes under the others: these are moved for it, and it
 * for them, by no more than a little, and lie over it where it has passed.
 */
function between(rest: Point, finger: Finger, contacts: ReadonlyMap<Finger, Point>, mirror: number): Point {
  let along = mirror * rest.x;
  for (const [other, at] of contacts) {
    const beyond = mirror * at.x + (finger - other) * DRAWN_HAND.looseApart - along;
    const most = finger === 1 || other === 1 ? DRAWN_HAND.looseApart : Infinity;
    along += finger > other ? Math.min(most, Math.max(0, beyond)) : Math.max(-most, Math.min(0, beyond));
  }
  return { x: mirror * along, y: rest.y };
}

function mean(values: readonly number[]): number {
  return values.reduce((sum, v) => sum + v, 0) / values.length;
}
