import { seeded } from "../../../../tests/support/seeded";
import { Places } from "./places";

function listed(places: Places): number[] {
  const all: number[] = [];
  places.forEach((place) => all.push(place));
  return all;
}

describe("a set of places", () => {
  it("does what a set does, wherever it has been moved to", () => {
    const random = seeded(31);
    for (let trial = 0; trial < 300; trial++) {
      const drawn = (most: number): readonly [Places, Set<number>] => {
        const by = random.whole(-20, 20);
        const few = Array.from({ length: random.whole(0, most) }, () => random.whole(-30, 30));
        const sorted = [...new Set(few)].sort((a, b) => a - b);
        return [Places.of(sorted).moved(by), new Set(sorted.map((place) => place + by))];
      };
      const [a, inA] = drawn(random.pick([1, 8, 40]));
      const [b, inB] = drawn(random.pick([1, 8, 40]));
      const [only, both] = [[...inA].filter((place) => !inB.has(place)), [...inA].filter((place) => inB.has(place))];
      expect(listed(a.without(b))).toEqual(only);
      expect(listed(a.within(b))).toEqual(both);
      expect(listed(a.with(b))).toEqual([...new Set([...inA, ...inB])].sort((one, other) => one - other));
      expect(a.isApart(b)).toBe(both.length === 0);
      expect([...inB].every((place) => b.has(place))).toBe(true);
      expect(b.has(random.pick([-60, 60]))).toBe(false);
    }
  });

  it("is handed on as it is where nothing is taken from it or put to it", () => {
    const places = Places.of([1, 4, 9]);
    expect(places.moved(0)).toBe(places);
    expect(places.without(Places.one(5))).toBe(places);
    expect(places.within(places.moved(2).moved(-2))).toBe(places);
    expect(places.with(places)).toBe(places);
  });
});
