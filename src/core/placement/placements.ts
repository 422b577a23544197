import type { Hand } from "../hand/hand";
import type { Instrument } from "../keyboard/instrument";
import { KEYBOARD } from "../physics";
import { pitch } from "../keyboard/pitch";
import { withoutDoubled } from "./doubled";
import type { Held, Hold, Placement } from "./placement";
import { solvePlacement } from "./solve";

/**
 * The solver's answers for one hand on one instrument, kept. A placement an octave away is the same one moved, so
 * answers are kept by finger set, lowest pitch class and intervals. The cache belongs to whoever made it.
 */
export interface Placements {
  readonly hand: Hand;
  readonly instrument: Instrument;
  /**
   * The answer for some holds and more: its kind, strain and shortness are right, its coordinates may be some
   * octaves away. A finger on two keys at once is out of reach, but for
   * the thumb on two neighbouring white ones. Whether a finger is resting is not looked at.
   */
  look(holds: readonly Hold[], more?: readonly Hold[]): Placement;
  /** The same with its coordinates where the keys are. */
  place(holds: readonly Hold[]): Placement;
  /** How many answers are kept. */
  size(): number;
}

/** Answers kept at most; the oldest give way. */
const MOST_KEPT = 60_000;
/** Offsets of a key from the lowest one, and one more for a finger that is not used. */
const OFFSETS = KEYBOARD.highestKey - KEYBOARD.lowestKey + 2;
const RADIX = [0, 1, 2, 3, 4].map((place) => OFFSETS ** place);
/** Octave in which kept placements stand. */
const HOME_OCTAVE = 5;

/** Places a hand on keys of an instrument, and keeps what it has found; a resting finger is no hindrance here. */
export function placementsOf(hand: Hand, instrument: Instrument): Placements {
  const working: Hand = { ...hand, resting: [] };
  const kept = new Map<number, Placement>();

  function look(holds: readonly Hold[], more: readonly Hold[] = NONE): Placement {
    const lowest = lowestOf(holds, lowestOf(more, Infinity));
    const key = codeOf(holds, more, lowest);
    if (key < 0) {
      const single = withoutDoubled([...holds, ...more], hand.side);
      return single === null || single.length === holds.length + more.length ? UNPLAYABLE : look(single);
    }
    let found = kept.get(key);
    if (found === undefined) {
      found = solvePlacement(working, instrument, atHome([...holds, ...more], lowest));
      if (kept.size >= MOST_KEPT) kept.delete(kept.keys().next().value as number);
      kept.set(key, found);
    }
    return found;
  }

  return {
    hand,
    instrument,
    look,
    place(holds) {
      const found = look(holds);
      return found.kind === "held" ? moved(found, lowestOf(holds, Infinity), instrument) : found;
    },
    size: () => kept.size,
  };
}

const NONE: readonly Hold[] = [];
const UNPLAYABLE: Placement = { kind: "out-of-reach", short: null, tried: { shape: "natural", tilt: "upright" } };

function lowestOf(holds: readonly Hold[], most: number): number {
  let lowest = most;
  for (const { key } of holds) if (key < lowest) lowest = key;
  return lowest;
}

/**
 * One number for finger set, lowest pitch class and intervals; -1 when a finger is on two keys. The outermost keys
 * of the keyboard have one open side each, so that a set that touches one of them has a code of its own.
 */
function codeOf(holds: readonly Hold[], more: readonly Hold[], lowest: number): number {
  let code = 0;
  let used = 0;
  let end = 0;
  for (let list = holds; ; list = more) {
    for (const { finger, key } of list) {
      if (used & (1 << finger)) return -1;
      used |= 1 << finger;
      if (key === KEYBOARD.lowestKey) end |= 1;
      else if (key === KEYBOARD.highestKey) end |= 2;
      code += (key - lowest + 1) * RADIX[finger - 1]!;
    }
    if (list === more) return code * 48 + (lowest % 12) + 12 * end;
  }
}

function isOutermost(key: number): boolean {
  return key === KEYBOARD.lowestKey || key === KEYBOARD.highestKey;
}

/** Where a set is solved: its lowest key in the home octave, if it can be moved there. */
function atHome(holds: readonly Hold[], lowest: number): readonly Hold[] {
  const by = (HOME_OCTAVE - Math.floor(lowest / 12)) * 12;
  if (holds.some(({ key }) => isOutermost(key) || key + by >= KEYBOARD.highestKey)) return holds;
  return holds.map(({ finger, key }) => ({ finger, key: pitch(key + by) }));
}

function moved(held: Held, lowest: number, on: Instrument): Held {
  // Where the thumb lies across two keys its lower one has no tip of its own.
  const octaves = Math.round((lowest - lowestOf(held.tips, Infinity)) / 12);
  const by = octaves * on.octaveWidth;
  return {
    ...held,
    tips: held.tips.map((tip) => ({
      ...tip,
      key: pitch(tip.key + octaves * 12),
      at: { x: tip.at.x + by, y: tip.at.y },
    })),
    wrist: { ...held.wrist, at: { x: held.wrist.at.x + by, y: held.wrist.at.y } },
  };
}
