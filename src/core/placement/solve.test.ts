import { grid, reachable, visitProduct } from "../../../tests/support/grid";
import { seeded, type Seeded } from "../../../tests/support/seeded";
import { FINGERS, type Finger } from "../hand/finger";
import { handOfRulerSpan, type Hand } from "../hand/hand";
import { FULL_SIZE } from "../keyboard/instrument";
import { pitch } from "../keyboard/pitch";
import { PLACEMENT } from "../physics";
import { evaluate, pivotOf, strainOfPair, strainOfUneven, strainOfDeviation, unevenness } from "./evaluate";
import { total } from "./causes";
import type { Allowed, Hold } from "./placement";
import { solvePlacement } from "./solve";
import { spotsOn, type Part } from "./spots";
import { standingChoices, type TipStanding } from "./standing";
import { limitsIn, SHAPES, TILTS, type Way } from "./ways";

const X_STEP = 3;
const Y_STEP = 15;
const FRONT_STEP = 8;

/** Openings on a grid of contact points: every tip at every place, priced pair by pair. */
function openingOnGrid(hand: Hand, way: Way, standing: readonly TipStanding[]): { x: number[]; strain: number } | null {
  let best: { x: number[]; strain: number } | null = null;
  const limits = standing.map((a, i) => standing.slice(0, i).map((b) => limitsIn(hand, a.finger, b.finger, way)));
  const places = standing.map(({ spot }) => grid(spot.left, spot.right, X_STEP));
  visitProduct(places, (x) => {
    let strain = 0;
    for (let i = 0; i < x.length; i++) {
      for (let j = 0; j < i; j++) {
        const inOrder = standing[i]!.finger > standing[j]!.finger;
        strain = Math.max(strain, strainOfPair(limits[i]![j]!, inOrder ? x[i]! - x[j]! : x[j]! - x[i]!));
      }
    }
    if (strain < (best?.strain ?? Infinity)) best = { x: [...x], strain };
  });
  return best;
}

interface Lie {
  readonly y: number[];
  readonly front: number;
  readonly ulnarDeviation: number;
  readonly strain: number;
}

/** How the hand lies on a grid of the wrist's depth, its ulnarDeviation, and every tip's depth on its key. */
function lieOnGrid(hand: Hand, way: Way, standing: readonly TipStanding[]): Lie | null {
  let best: Lie | null = null;
  const middle = standing.reduce((sum, s) => sum + s.middle, 0) / standing.length;
  for (const ulnarDeviation of grid(
    -PLACEMENT.deviationMost[1],
    PLACEMENT.deviationMost[0],
    3 * PLACEMENT.deviationStep,
  )) {
    const wrist = strainOfDeviation(ulnarDeviation);
    for (const ahead of grid(0, 150, FRONT_STEP)) {
      const front = ahead - middle * Math.tan((ulnarDeviation * Math.PI) / 180);
      const choices = standing.map((at) =>
        reachable(grid(at.spot.front, at.spot.back, Y_STEP), (y) => {
          const apart = Math.abs(unevenness(hand, way.shape, at, y, front, ulnarDeviation));
          const uneven = strainOfUneven(Math.max(0, apart - pivotOf(at.finger)));
          return { uneven, depth: Math.max(0, y - at.spot.usual) * PLACEMENT.depthPerMm };
        }),
      );
      visitProduct(choices, (tips) => {
        let [uneven, depth] = [0, 0];
        for (const tip of tips) {
          if (tip.uneven > uneven) uneven = tip.uneven;
          if (tip.depth > depth) depth = tip.depth;
        }
        const strain = wrist + uneven + depth;
        if (strain < (best?.strain ?? Infinity)) best = { y: tips.map((t) => t.at), front, ulnarDeviation, strain };
      });
    }
  }
  return best;
}

/**
 * The slow, obvious search for one shape, tilt and part of each key. Places along the keys and places in and
 * out do not touch one another in the model, so it goes over two grids and prices the best of both as one.
 */
function bruteForce(hand: Hand, way: Way, given: readonly Hold[], parts: readonly Part[]): number {
  let best = Infinity;
  for (const standing of standingChoices(hand, FULL_SIZE, given, { parts })) {
    const [opening, lie] = [openingOnGrid(hand, way, standing), lieOnGrid(hand, way, standing)];
    if (opening && lie) best = Math.min(best, total(evaluate(hand, way, standing, { x: opening.x, ...lie })));
  }
  return best;
}

/** One to five fingers, mostly neighbours on the keyboard, sometimes too far. */
function someHolds(random: Seeded, count: number): Hold[] {
  const fingers = [...FINGERS];
  while (fingers.length > count) fingers.splice(random.whole(0, fingers.length - 1), 1);
  let key = random.whole(52, 66);
  return fingers.map((finger, i) => {
    if (i > 0) key += random.whole(1, Math.min(7, 2 + 2 * (finger - fingers[i - 1]!)));
    return { finger, key: pitch(key) };
  });
}

describe("the placement solver", () => {
  it("is never worse than a brute-force grid, nor better by more than the grid's own step", () => {
    const random = seeded(20261126);
    const above: number[] = [];
    let out = 0;
    for (let trial = 0; trial < 420; trial++) {
      const hand = handOfRulerSpan("right", random.pick([185, 205, 230]));
      const given = someHolds(random, random.pick([1, 2, 2, 3, 3, 4, 4, 5]));
      const way = { shape: random.pick(SHAPES), tilt: random.pick(TILTS) };
      const parts = random
        .pick<readonly Part[]>([["head"], ["head"], ["head", "between"]])
        .slice(0, given.length > 4 ? 1 : 2);
      const allowed: Allowed = { shapes: [way.shape], tilts: [way.tilt], parts };
      const found = solvePlacement(hand, FULL_SIZE, given, allowed);
      const reference = bruteForce(hand, way, given, parts);
      if (found.kind === "out-of-reach") {
        expect(reference).toBe(Infinity);
        out++;
        continue;
      }
      expect(total(found.causes)).toBeLessThanOrEqual(reference + 0.01);
      if (reference < Infinity) above.push(reference - total(found.causes));
    }
    above.sort((a, b) => a - b);
    const [median, most] = [above[Math.floor(above.length / 2)]!, above.at(-1)!];
    console.info(
      `placements compared with the grid: ${above.length} held, ${out} out of reach; ` +
        `the grid lies above by ${median.toFixed(2)} in the middle, ${most.toFixed(2)} at most`,
    );
    expect(above.length).toBeGreaterThanOrEqual(200);
    expect(out).toBeGreaterThanOrEqual(20);
    expect(median).toBeLessThan(3);
    // Half a step of 3 mm at both ends of the steepest ramp (50 strain over 5 mm), and of depth and front.
    expect(most).toBeLessThan(30 + 15);
  });

  it("is the easiest of what it finds in each shape and tilt by itself", () => {
    const random = seeded(77);
    for (let trial = 0; trial < 150; trial++) {
      const hand = handOfRulerSpan("right", random.pick([185, 205, 230]));
      const given = someHolds(random, random.whole(2, 5));
      const apart = SHAPES.flatMap((shape) =>
        TILTS.map((tilt) => solvePlacement(hand, FULL_SIZE, given, { shapes: [shape], tilts: [tilt] })),
      );
      const least = Math.min(...apart.map((p) => (p.kind === "held" ? p.strain : Infinity)));
      const free = solvePlacement(hand, FULL_SIZE, given);
      expect(free.kind === "held" ? free.strain : Infinity).toBeCloseTo(least, 1);
    }
  });

  it("finds a placement whose causes add up to its strain, with every tip on its key", () => {
    const random = seeded(5);
    for (let trial = 0; trial < 200; trial++) {
      const side = random.pick(["right", "left"] as const);
      const hand = handOfRulerSpan(side, 205);
      let key = random.whole(50, 64);
      const keys = FINGERS.map(() => pitch((key += random.whole(1, 3))));
      const found = solvePlacement(
        hand,
        FULL_SIZE,
        FINGERS.map((finger, i) => ({ finger, key: keys[side === "right" ? i : 4 - i]! })),
      );
      if (found.kind === "out-of-reach") continue;
      expect(Math.min(100, total(found.causes))).toBeCloseTo(found.strain, 9);
      for (const { finger, key: at, part, at: tip } of found.tips) {
        const spot = spotsOn(at, hand.tipWidths[finger - 1]!, FULL_SIZE).find((s) => s.part === part)!;
        expect(tip.x).toBeGreaterThanOrEqual(spot.left - 1e-6);
        expect(tip.x).toBeLessThanOrEqual(spot.right + 1e-6);
        expect(tip.y).toBeGreaterThanOrEqual(spot.front - 1e-6);
        expect(tip.y).toBeLessThanOrEqual(spot.back + 1e-6);
      }
    }
  });

  it("turns towards the little finger to bring the thumb in, and towards the thumb to bring the little finger in", () => {
    const hand = handOfRulerSpan("right", 205);
    const deviationOf = (thumb: number, little: number): number => {
      const holds: Hold[] = [
        { finger: 1, key: pitch(thumb) },
        { finger: 5, key: pitch(little) },
      ];
      const found = solvePlacement(hand, FULL_SIZE, holds, { shapes: ["flat"], parts: ["head"] });
      if (found.kind !== "held") throw new Error("out of reach");
      return found.wrist.ulnarDeviation;
    };
    // B flat and A with flat fingers: the thumb on black, the little finger on white.
    expect(deviationOf(58, 69)).toBeGreaterThan(0);
    expect(deviationOf(59, 70)).toBeLessThanOrEqual(0);
  });

  it("is mirrored in the other hand", () => {
    const random = seeded(8);
    for (let trial = 0; trial < 100; trial++) {
      let key = random.whole(50, 62);
      const given = ([1, 2, 4, 5] as const).map((finger) => ({ finger, key: pitch((key += random.whole(1, 5))) }));
      const image = given.map((g) => ({ finger: g.finger, key: pitch(124 - g.key) }));
      const right = solvePlacement(handOfRulerSpan("right", 200), FULL_SIZE, given);
      const left = solvePlacement(handOfRulerSpan("left", 200), FULL_SIZE, image);
      expect(left.kind).toBe(right.kind);
      if (right.kind === "held" && left.kind === "held") {
        expect(left.strain).toBeCloseTo(right.strain, 6);
        expect(left.wrist.ulnarDeviation).toBe(right.wrist.ulnarDeviation);
      } else if (right.kind === "out-of-reach" && left.kind === "out-of-reach") {
        expect(left.short?.mm ?? 0).toBeCloseTo(right.short?.mm ?? 0, 3);
      }
    }
  });

  it("asks more of an opening that is held long or played loud, and no more of a closed hand", () => {
    const hand = handOfRulerSpan("right", 195);
    const strain = (keys: readonly [number, number], heldMs: number, load: number): number => {
      const holds = ([1, 5] as const).map((finger, i) => ({ finger, key: pitch(keys[i]!) }));
      const found = solvePlacement(hand, FULL_SIZE, holds, { demand: { heldMs, load } });
      return found.kind === "held" ? found.strain : NaN;
    };
    const once = strain([60, 72], 0, 0);
    expect(strain([60, 72], 2000, 0)).toBeGreaterThan(once);
    expect(strain([60, 72], 4000, 0)).toBeGreaterThan(strain([60, 72], 2000, 0));
    expect(strain([60, 72], 60_000, 0)).toBeCloseTo(strain([60, 72], 4000, 0), 6);
    expect(strain([60, 72], 0, 1)).toBeGreaterThan(once);
    expect(strain([60, 67], 4000, 1)).toBeCloseTo(strain([60, 67], 0, 0), 6);
  });

  it("refuses a finger named twice and a resting one", () => {
    const hold = (finger: Finger, key: number): Hold => ({ finger, key: pitch(key) });
    const solve =
      (hand: Hand, ...holds: Hold[]) =>
      () =>
        solvePlacement(hand, FULL_SIZE, holds);
    expect(solve(handOfRulerSpan("right", 200), hold(1, 60), hold(1, 62))).toThrow("two keys");
    expect(solve(handOfRulerSpan("left", 200, [4]), hold(4, 60))).toThrow("Finger 4 of the left hand is resting");
  });
});
