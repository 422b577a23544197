import { scaleOf, type Hand } from "../hand/hand";
import type { Wrist } from "../hand/pose";
import { keyMiddle } from "../keyboard/geometry";
import type { Instrument } from "../keyboard/instrument";
import { HAND, PLACEMENT } from "../physics";
import { easiestLie, type Lie } from "./depth";
import { AT_ONCE, gainOf, total, type Demand } from "./causes";
import { evaluate, isRaised } from "./evaluate";
import { boundsAt, hasRoom, leastStrain, placeWithin, type PairBound } from "./openings";
import type { Allowed, Held, Hold, Placement, Tip } from "./placement";
import { outOfReach } from "./short";
import { intervalsOf, mirrored, pairsOf, standingChoices, type TipStanding } from "./standing";
import { SHAPES, strainOfWay, TILTS, type Way } from "./ways";

/**
 * The easiest placement of a hand that holds keys with given fingers, or which pair is short and by how much.
 *
 * Over every allowed shape, tilt and part of each key: the strain of the most strained pair is least where the
 * bounds on all tips together first have room (openings.ts, to within a thousandth of strain), the lie in and
 * out is least at one of a few depths for each ulnarDeviation tried (depth.ts); the two do not touch one another, so the
 * sum of the least is the least of the sum. Left is the mirror of right.
 *
 * @param holds one to five fingers, each once, none of them resting
 * @throws RangeError when a finger is named twice or is resting
 */
export function solvePlacement(hand: Hand, on: Instrument, holds: readonly Hold[], allowed: Allowed = {}): Placement {
  refuseImpossible(hand, holds);
  const ordered = [...holds].sort(
    (a, b) => mirrored(hand, keyMiddle(a.key, on)) - mirrored(hand, keyMiddle(b.key, on)),
  );
  const demand = allowed.demand ?? AT_ONCE;
  const choices = standingChoices(hand, on, ordered, allowed);
  const shapes = allowed.shapes ?? SHAPES;
  const tilts = allowed.tilts ?? TILTS;
  let best = null as Candidate | null;
  for (const shape of shapes) {
    const lies: (Lie | null | undefined)[] = [];
    for (const tilt of tilts) {
      const way = { shape, tilt };
      const pairs = pairsOf(hand, way, choices[0]!);
      choices.forEach((standing, i) => {
        const lieOf = () => (lies[i] === undefined ? (lies[i] = easiestLie(hand, shape, standing)) : lies[i]);
        best = easier({ way, pairs, standing }, lieOf, demand, best);
      });
    }
  }
  return best
    ? heldAs(hand, ordered, best, demand)
    : outOfReach(hand, { shape: shapes.at(-1)!, tilt: tilts.at(-1)! }, choices);
}

interface Attempt {
  readonly way: Way;
  readonly pairs: readonly PairBound[];
  readonly standing: readonly TipStanding[];
}

interface Candidate extends Attempt {
  readonly lie: Lie;
  readonly opening: number;
  readonly strain: number;
}

function refuseImpossible(hand: Hand, holds: readonly Hold[]): void {
  const fingers = holds.map((h) => h.finger);
  if (new Set(fingers).size !== fingers.length)
    throw new RangeError(`A finger is asked to hold two keys: ${fingers.join(", ")}.`);
  const resting = fingers.find((f) => hand.resting.includes(f));
  if (resting) throw new RangeError(`Finger ${resting} of the ${hand.side} hand is resting.`);
}

/** The attempt, if it is easier than the best so far. What is cheap to know is asked first. */
function easier(attempt: Attempt, lieOf: () => Lie | null, demand: Demand, best: Candidate | null): Candidate | null {
  const { way, pairs, standing } = attempt;
  const raised = way.tilt === "upright" && isRaised(standing) ? PLACEMENT.raisedInner : 0;
  const own = strainOfWay(way) + raised;
  if (best && own >= best.strain) return best;
  const { held, load } = gainOf(demand);
  const gain = 1 + held + load;
  const tips = intervalsOf(standing);
  const upTo = best ? (best.strain - own) / gain : 100;
  if (!hasRoom(tips, pairs, Math.min(100, upTo))) return best;
  const lie = lieOf();
  if (lie === null || (best && own + lie.strain >= best.strain)) return best;
  const opening = leastStrain(tips, pairs, best ? upTo - lie.strain / gain : 100);
  const strain = own + lie.strain + opening * gain;
  return strain < (best?.strain ?? Infinity) ? { ...attempt, lie, opening, strain } : best;
}

function heldAs(
  hand: Hand,
  holds: readonly Hold[],
  { way, pairs, standing, lie, opening }: Candidate,
  demand: Demand,
): Held {
  const bounds = boundsAt(intervalsOf(standing), pairs, opening)!;
  const x = placeWithin(
    bounds,
    standing.map((s) => s.wish),
  );
  const causes = evaluate(
    hand,
    way,
    standing,
    { x, y: lie.y, front: lie.front, ulnarDeviation: lie.ulnarDeviation },
    demand,
  );
  const tips = holds.map(({ finger, key }, i): Tip => ({
    finger,
    key,
    part: standing[i]!.spot.part,
    at: { x: mirrored(hand, x[i]!), y: lie.y[i]! },
  }));
  return {
    kind: "held",
    tips,
    ...way,
    wrist: wristOf(hand, way, standing, x, lie),
    strain: Math.min(100, total(causes)),
    causes,
    nearest: nearestPair(pairs, standing, x),
  };
}

/** The wrist lies behind the tips where they would be at ease, turned about the hand's middle by its ulnarDeviation. */
function wristOf(
  hand: Hand,
  way: Way,
  standing: readonly TipStanding[],
  x: readonly number[],
  { front, ulnarDeviation }: Lie,
): Wrist {
  const middle =
    standing.reduce((sum, { finger }, i) => sum + x[i]! - hand.restOffsets[finger - 1]!, 0) / standing.length;
  const length = HAND.tipToWrist * scaleOf(hand);
  const turn = (ulnarDeviation * Math.PI) / 180;
  const foremost = front - middle * Math.tan(turn);
  return {
    at: { x: mirrored(hand, middle - length * Math.sin(turn)), y: foremost - length * Math.cos(turn) },
    ulnarDeviation,
    supination: way.tilt === "leaning" ? PLACEMENT.leanDegrees : 0,
  };
}

function nearestPair(
  pairs: readonly PairBound[],
  standing: readonly TipStanding[],
  x: readonly number[],
): Held["nearest"] {
  let nearest: Held["nearest"] = null;
  for (const { low, high, limits } of pairs) {
    const room = limits.widestPractical - (x[high]! - x[low]!);
    if (nearest === null || room < nearest.room)
      nearest = { pair: [standing[low]!.finger, standing[high]!.finger], room };
  }
  return nearest;
}
