import { seeded } from "../../../../tests/support/seeded";
import { costOf, smoothest, valueAt, type Knot, type Course } from "./smooth";

const random = seeded(17);

function randomKnots(n: number): Knot[] {
  let ms = 0;
  return Array.from({ length: n }, () => {
    ms += random.whole(20, 600);
    const ease = random.whole(-100, 100);
    const isFree = random.chance(0.3);
    return {
      ms,
      ease,
      weight: random.chance(0.2) ? 0.3 : 1,
      least: isFree ? -Infinity : ease + random.whole(-40, 20),
      most: isFree ? Infinity : ease + random.whole(21, 60),
    };
  });
}

const smoothingOf = (knots: readonly Knot[]): number[] =>
  knots.slice(1).map((k, i) => Math.min(160, 0.6 * (k.ms - knots[i]!.ms)));

/** How much the cost changes with each value and speed, by trying. */
function slopes(knots: readonly Knot[], smoothing: readonly number[], way: Course, shorten: number) {
  const at = (which: "x" | "v", i: number, by: number): number => {
    const moved = { ...way, x: way.x.slice(), v: way.v.slice() };
    moved[which][i]! += by;
    return costOf(knots, smoothing, moved, shorten);
  };
  const slope = (which: "x" | "v", i: number, by: number): number => (at(which, i, by) - at(which, i, -by)) / (2 * by);
  return knots.map((_, i) => ({ x: slope("x", i, 1e-3), v: slope("v", i, 1e-5) }));
}

describe("the smoothest way", () => {
  it("keeps to its bounds, and nowhere would a change within them lower its cost", () => {
    let held = 0;
    for (let trial = 0; trial < 60; trial++) {
      const knots = randomKnots(random.whole(2, 40));
      const smoothing = smoothingOf(knots);
      const shorten = random.pick([0, 0.5, 2]);
      const way = smoothest(knots, smoothing, shorten);
      slopes(knots, smoothing, way, shorten).forEach((slope, i) => {
        const { least, most } = knots[i]!;
        const x = way.x[i]!;
        expect(x).toBeGreaterThanOrEqual(least - 1e-9);
        expect(x).toBeLessThanOrEqual(most + 1e-9);
        if (x <= least + 1e-6) {
          held++;
          expect(slope.x).toBeGreaterThan(-1e-3);
        } else if (x >= most - 1e-6) expect(slope.x).toBeLessThan(1e-3);
        else expect(Math.abs(slope.x)).toBeLessThan(1e-3);
        // A speed is per ms: a slope of 1 is a thousandth of a unit a second.
        expect(Math.abs(slope.v)).toBeLessThan(0.5);
      });
    }
    expect(held).toBeGreaterThan(20);
  });

  it("is no dearer than any of many ways tried at random", () => {
    const knots = randomKnots(12);
    const smoothing = smoothingOf(knots);
    const best = smoothest(knots, smoothing, 1);
    const least = costOf(knots, smoothing, best, 1);
    for (let trial = 0; trial < 2000; trial++) {
      const x = best.x.map((v, i) => {
        const { least: low, most } = knots[i]!;
        return Math.min(most, Math.max(low, v + random.whole(-100, 100) / 50));
      });
      const v = best.v.map((s) => s + random.whole(-100, 100) / 5000);
      expect(costOf(knots, smoothing, { ...best, x, v }, 1)).toBeGreaterThanOrEqual(least);
    }
  });

  it("goes straight where that is easiest, and between the knots without a corner", () => {
    const knots = [0, 100, 250, 300].map((ms) => ({ ms, ease: ms / 10, weight: 1, least: -Infinity, most: Infinity }));
    const way = smoothest(knots, [60, 90, 30]);
    for (let ms = 0; ms <= 300; ms += 7) expect(valueAt(way, ms)).toBeCloseTo(ms / 10, 4);
    const bent = smoothest(randomKnots(20), new Array<number>(19).fill(100));
    const [a, b] = [bent.ms[4]! - 0.01, bent.ms[4]! + 0.01];
    expect(valueAt(bent, b) - valueAt(bent, a)).toBeCloseTo(0.02 * bent.v[4]!, 3);
    expect(valueAt(bent, -1)).toBe(bent.x[0]);
    expect(valueAt(bent, 1e9)).toBe(bent.x.at(-1));
  });

  it("stands where it is wanted when it stands alone, and nowhere without knots", () => {
    const alone = smoothest([{ ms: 0, ease: 30, weight: 1, least: 0, most: 20 }], []);
    expect([...alone.x, ...alone.v]).toEqual([20, 0]);
    expect(valueAt(smoothest([], []), 5)).toBe(0);
  });
});
