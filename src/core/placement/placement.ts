import type { Finger } from "../hand/finger";
import type { Point, Wrist } from "../hand/pose";
import type { Pitch } from "../keyboard/pitch";
import type { Demand, PlacementCauses } from "./causes";
import type { Part } from "./spots";
import type { Shape, Tilt, Way } from "./ways";

/** A finger that is to hold a key. */
export interface Hold {
  readonly finger: Finger;
  readonly key: Pitch;
}

/** Where one finger stands, in keyboard coordinates, mm. */
export interface Tip extends Hold {
  readonly part: Part;
  readonly at: Point;
}

export interface Held {
  readonly kind: "held";
  readonly tips: readonly Tip[];
  readonly shape: Shape;
  readonly tilt: Tilt;
  readonly wrist: Wrist;
  /** 0 to 100: the sum of its causes, and 100 where they come to more. */
  readonly strain: number;
  readonly causes: PlacementCauses;
  /** The pair nearest the end of its reach, and the mm it could still open; null for a single finger. */
  readonly nearest: { readonly pair: readonly [Finger, Finger]; readonly room: number } | null;
}

export interface OutOfReach {
  readonly kind: "out-of-reach";
  /** The pair that is short of its keys, by how many mm with every remedy of placement; null where depth, not width, forbids it. */
  readonly short: { readonly pair: readonly [Finger, Finger]; readonly mm: number } | null;
  /** The way of holding the hand that came nearest. */
  readonly tried: Way;
}

export type Placement = Held | OutOfReach;

/** What a placement may use; everything where nothing is said. */
export interface Allowed {
  readonly shapes?: readonly Shape[];
  readonly tilts?: readonly Tilt[];
  /** Parts of white keys that may be played. */
  readonly parts?: readonly Part[];
  /** Whether white keys may be met anywhere on them or only near their middles; anywhere where nothing is said. */
  readonly aim?: "anywhere" | "middles";
  readonly demand?: Demand;
}
