import { clickRound } from "./click";
import { clickAt } from "./ladder";

const ASKED = { tempo: 90, bar: 4, parts: 1, silent: 0, countIn: 0 };

describe("the click", () => {
  it("is even, and begins each bar with another sound", () => {
    const { clicks, start, end } = clickRound(ASKED);
    expect(clicks.map(({ at }) => at)).toEqual([0, 1, 2, 3]);
    expect(clicks.map(({ weight }) => weight)).toEqual(["bar", "beat", "beat", "beat"]);
    expect([start, end]).toEqual([0, 4]);
  });

  it("is divided, silent and counted in as asked", () => {
    const { clicks, start, end } = clickRound({ ...ASKED, parts: 3, silent: 2, countIn: 1 });
    expect(start).toBe(4);
    expect(end - start).toBe(12);
    expect(clicks).toHaveLength(24);
    expect(clicks.filter(({ at }) => at >= start + 4)).toEqual([]);
    expect(clicks.filter(({ weight }) => weight === "part")).toHaveLength(16);
    const gaps = clicks.slice(1).map(({ at }, i) => at - clicks[i]!.at);
    expect(gaps.every((gap) => Math.abs(gap - 1 / 3) < 1e-9)).toBe(true);
  });

  it("has as many quarter notes to a click as the clockwork can follow", () => {
    for (const tempo of [15, 60, 250, 500]) {
      const { quarters, figure } = clickAt(tempo);
      const { clicks } = clickRound({ ...ASKED, tempo });
      expect(clicks[1]!.at).toBe(quarters);
      expect((clicks[1]!.at * 60) / tempo).toBeCloseTo(60 / figure, 9);
    }
  });
});
