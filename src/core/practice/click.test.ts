import { clickBar, placeAfter, type ClickAsked } from "./click";
import { clickAt } from "./ladder";

const ASKED: ClickAsked = { tempo: 90, bar: 4, parts: 1 };

/** Where the clicks of bars fall that follow each other, each asked for as it begins, in quarter notes. */
function heard(bars: readonly ClickAsked[], silent = 0, countIn = 0): number[] {
  const found: number[] = [];
  let from = 0;
  let place = -countIn;
  for (const asked of bars) {
    const { clicks, length } = clickBar(asked, place);
    found.push(...clicks.map(({ at }) => from + at));
    from += length;
    place = placeAfter(place, silent);
  }
  return found;
}

const gapsOf = (places: readonly number[]): number[] => places.slice(1).map((at, i) => at - places[i]!);

describe("the click", () => {
  it("is even, and begins each bar with another sound", () => {
    expect(heard([ASKED, ASKED])).toEqual([0, 1, 2, 3, 4, 5, 6, 7]);
    const { clicks, length } = clickBar({ ...ASKED, parts: 3 }, 0);
    expect(clicks.map(({ weight }) => weight[0]).join("")).toBe("bppbppbppbpp");
    expect(clicks.filter(({ weight }) => weight === "bar")).toEqual([{ at: 0, weight: "bar" }]);
    expect(gapsOf(clicks.map(({ at }) => at)).every((gap) => Math.abs(gap - 1 / 3) < 1e-9)).toBe(true);
    expect(length).toBe(4);
  });

  it("counts in, is heard, and is silent for as many bars as asked", () => {
    const bars = Array.from({ length: 8 }, () => ASKED);
    const begun = heard(bars, 2, 1).filter((at) => at % 4 === 0);
    // One bar counted in, then one heard and two silent, again and again.
    expect(begun).toEqual([0, 4, 16, 28]);
    expect(heard(bars, 0, 1)).toHaveLength(32);
  });

  it("is heard in the next bar when silence is taken back in the middle of it", () => {
    expect(placeAfter(1, 3)).toBe(2);
    expect(placeAfter(1, 0)).toBe(0);
  });

  it("has as many quarter notes to a click as the clockwork can follow", () => {
    for (const tempo of [15, 60, 250, 500]) {
      const { quarters, figure } = clickAt(tempo);
      const { clicks } = clickBar({ ...ASKED, tempo }, 0);
      expect(clicks[1]!.at).toBe(quarters);
      expect((clicks[1]!.at * 60) / tempo).toBeCloseTo(60 / figure, 9);
    }
  });

  it("goes on without a seam where the notes to a click change: no click is late, none is missed, and each stays on the beat", () => {
    for (const [before, after] of [
      [208, 212],
      [212, 208],
      [40, 38],
      [38, 40],
    ] as const) {
      const [from, to] = [clickAt(before).quarters, clickAt(after).quarters];
      expect(from).not.toBe(to);
      const places = heard([before, before, after, after].map((tempo) => ({ ...ASKED, tempo })));
      const gaps = gapsOf(places);
      // The last click of the old bar is followed by the first of the new one after one old click.
      expect(gaps).toEqual([...Array<number>(8).fill(from), ...Array<number>(7).fill(to)]);
      expect(places.every((at) => at % Math.min(from, to) === 0)).toBe(true);
    }
  });
});
