import { day } from "../time/days";
import type { NoteId } from "../passage/note";
import { againstPrediction } from "./against-prediction";
import { breakingOf, sayBreaking, type Tried } from "./breaking";
import { lagOf } from "./lag";
import { progressOf, sayProgress, type TriedOn } from "./progress";
import { seeded } from "./simulated/seeded";
import { rankCorrelation, slopeOf } from "./statistics";

/** Takes by a player who breaks at a tempo, the more surely the farther from it. */
function takesAbout(breaks: number, many: number, seed: number): Tried[] {
  const random = seeded(seed);
  return Array.from({ length: many }, () => {
    const tempo = random.whole(60, 140);
    return { tempo, clean: random.chance(1 / (1 + Math.exp((tempo - breaks) / 4))) };
  });
}

describe("the tempo at which it breaks", () => {
  it("says below eight takes how many more are wanted", () => {
    expect(breakingOf(takesAbout(100, 5, 1))).toEqual({ kind: "too few", more: 3 });
    expect(sayBreaking(breakingOf([]))).toMatch(/^8 more takes/);
  });

  it("finds where a player breaks, and its interval holds it nineteen times of twenty", () => {
    let [held, all, off] = [0, 0, 0];
    for (let seed = 0; seed < 200; seed++) {
      const breaking = breakingOf(takesAbout(100, 60, seed));
      if (breaking.kind !== "found") continue;
      all++;
      off += breaking.tempo - 100;
      if (breaking.interval[0] <= 100 && breaking.interval[1] >= 100) held++;
    }
    expect(all).toBeGreaterThan(190);
    expect(Math.abs(off / all)).toBeLessThan(1);
    expect(held / all).toBeGreaterThan(0.9);
  });

  it("narrows with more takes, and stays finite where slow is always clean and fast never", () => {
    const width = (many: number): number => {
      const breaking = breakingOf(takesAbout(100, many, 7));
      return breaking.kind === "found" ? breaking.interval[1] - breaking.interval[0] : Infinity;
    };
    expect(width(200)).toBeLessThan(width(20));
    const split = [60, 70, 80, 90, 110, 120, 130, 140].map((tempo) => ({ tempo, clean: tempo < 100 }));
    const breaking = breakingOf(split);
    expect(breaking).toMatchObject({ kind: "found", onlyAbove: true });
    expect(breaking.kind === "found" && breaking.tempo).toBeCloseTo(100, -1);
    expect(sayBreaking(breaking)).toMatch(/only appears above that speed/);
  });

  it("finds none where faster was no worse, or all were at one tempo", () => {
    const even = [60, 70, 80, 90, 110, 120, 130, 140].map((tempo) => ({ tempo, clean: true }));
    expect(breakingOf(even).kind).toBe("none");
    expect(breakingOf(even.map(({ clean }) => ({ tempo: 90, clean })))).toEqual({ kind: "none" });
  });
});

describe("progress over practice days", () => {
  const over = (days: number, breaks: (day: number) => number): TriedOn[] =>
    Array.from({ length: days }, (_, d) =>
      takesAbout(breaks(d), 10, 50 + d).map((take) => ({
        ...take,
        day: day(`2026-03-${String(d + 1).padStart(2, "0")}`),
      })),
    ).flat();

  it("says nothing before two weeks and five practice days", () => {
    expect(progressOf(over(10, () => 100)).kind).toBe("too soon");
    expect(sayProgress(progressOf(over(10, () => 100)))).toBeNull();
    expect(progressOf([])).toEqual({ kind: "too soon", days: 0, practiceDays: 0 });
  });

  it("sees a player who improves, and one who does not", () => {
    const better = progressOf(over(20, (d) => 80 + 2 * d));
    expect(better).toMatchObject({ kind: "told", improves: true });
    expect(sayProgress(better)).toMatch(/^It improves/);
    const same = progressOf(over(20, () => 100));
    expect(same).toMatchObject({ kind: "told", improves: false });
    expect(sayProgress(same)).toMatch(/^Two weeks without improvement: change the fingering/);
  });
});

describe("prediction against what happened", () => {
  const onset = (i: number, strain: number, faults: number) => ({
    note: `n${i}` as NoteId,
    strain,
    faults,
    late: faults * 10,
    tension: null,
  });

  it("correlates by rank, and names where the two part most", () => {
    const agreeing = Array.from({ length: 10 }, (_, i) => onset(i, i, i / 10));
    expect(againstPrediction(agreeing)).toMatchObject({ faults: 1, late: 1, tension: null, partings: [] });
    const parted = [...agreeing.slice(0, 9), onset(9, 50, 0)];
    const { partings, faults } = againstPrediction(parted);
    expect(faults!).toBeLessThan(1);
    expect(partings[0]).toMatchObject({ note: "n9", kind: "easier than predicted" });
  });

  it("correlates nothing that is all the same, and refuses lists of two lengths", () => {
    expect(rankCorrelation([1, 1, 1], [1, 2, 3])).toBeNull();
    expect(rankCorrelation([1, 2], [1, 2])).toBeNull();
    expect(rankCorrelation([3, 1, 2, 2], [30, 10, 20, 20])).toBe(1);
    expect(() => rankCorrelation([1], [])).toThrow(RangeError);
  });
});

describe("tension ahead of faults", () => {
  const bars = (tension: readonly number[], faults: readonly number[]) =>
    tension.map((felt, i) => ({ bar: String(i + 1), tension: felt, faults: faults[i]! }));

  it("is found in the bar before the one that fails", () => {
    const lag = lagOf(bars([1, 2, 8, 3, 1, 7, 2, 1], [0, 0, 0.1, 0.9, 0.2, 0, 0.8, 0.1]));
    expect(lag.bars).toBe(1);
    expect(lag.ahead).toHaveLength(4);
  });

  it("is not looked for beyond a short passage", () => {
    for (const many of [0, 1, 2, 3]) {
      const some = Array.from({ length: many }, (_, i) => i);
      expect(lagOf(bars(some, some)).ahead).toHaveLength(4);
    }
  });

  it("builds up along the passage, or does not", () => {
    expect(lagOf(bars([1, 2, 3, 4, 5, 6, 7], [0, 0, 0, 0, 0, 0, 0])).building.interval[0]).toBeGreaterThan(0);
    expect(lagOf(bars([5, 5, 5, 5], [0, 0, 0, 0])).bars).toBeNull();
  });
});

describe("a robust slope", () => {
  it("is not swayed by one day that is off", () => {
    const points = Array.from({ length: 12 }, (_, i): [number, number] => [i, i === 5 ? 400 : 2 * i]);
    const { slope, interval } = slopeOf(points);
    expect(slope).toBeCloseTo(2, 6);
    expect(interval[0]).toBeLessThanOrEqual(2);
    expect(interval[1]).toBeGreaterThanOrEqual(2);
    expect(slopeOf([[1, 2]]).interval).toEqual([-Infinity, Infinity]);
  });
});
