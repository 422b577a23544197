import { seeded } from "../../../../tests/support/seeded";
import { shortestWay } from "../../../../tests/support/shortest-way";
import { shortestThrough, type Stretch } from "./shortest";

const gone = (way: readonly number[]): number => way.slice(1).reduce((sum, at, i) => sum + Math.abs(at - way[i]!), 0);

function stretchesOf(random: ReturnType<typeof seeded>, count: number, apart: number): readonly Stretch[] {
  return Array.from({ length: count }, () => {
    const least = apart * random.next();
    const most = least + 30 * random.next();
    return { least, most, ease: least + (most - least) * random.next() };
  });
}

describe("the shortest way through stretches", () => {
  it("lies in every one of them, and none is shorter", () => {
    const random = seeded(3);
    for (let trial = 0; trial < 300; trial++) {
      const stretches = stretchesOf(random, 1 + Math.floor(12 * random.next()), random.pick([10, 40, 200]));
      const way = shortestThrough(stretches);
      way.forEach((at, i) => {
        expect(at).toBeGreaterThanOrEqual(stretches[i]!.least);
        expect(at).toBeLessThanOrEqual(stretches[i]!.most);
      });
      expect(gone(way)).toBeCloseTo(shortestWay(stretches), 9);
    }
  });

  it("is the mirror of the way through mirrored stretches, and grows with them", () => {
    const random = seeded(8);
    for (let trial = 0; trial < 50; trial++) {
      const stretches = stretchesOf(random, 8, 80);
      const way = shortestThrough(stretches);
      const mirrored = stretches.map(({ least, most, ease }) => ({ least: -most, most: -least, ease: -ease }));
      const larger = stretches.map(({ least, most, ease }) => ({ least: 2 * least, most: 2 * most, ease: 2 * ease }));
      shortestThrough(mirrored).forEach((at, i) => expect(-at).toBeCloseTo(way[i]!, 9));
      shortestThrough(larger).forEach((at, i) => expect(at / 2).toBeCloseTo(way[i]!, 9));
    }
  });

  it("stays at one place where it can, the one that is best on average, however far each would draw it", () => {
    const stretches = [
      { least: 0, most: 20, ease: 4 },
      { least: 5, most: 30, ease: 20 },
      { least: 0, most: 18, ease: 9 },
    ];
    expect(shortestThrough(stretches)).toEqual([11, 11, 11]);
  });

  it("goes by where each lies best where it must go past, and no farther than it must where it turns", () => {
    const there = [10, 20, 30, 40].map((ease) => ({ least: ease - 4, most: ease + 4, ease }));
    expect(shortestThrough(there)).toEqual([14, 20, 30, 36]);
    const back = [...there, ...there.slice(0, -1).reverse()];
    expect(shortestThrough(back)).toEqual([14, 20, 30, 36, 30, 20, 14]);
  });

  it("is free where a stretch has no end", () => {
    const free = { least: -Infinity, most: Infinity, ease: 70 };
    expect(shortestThrough([free, { least: 3, most: 5, ease: 4 }, free])).toEqual([5, 5, 5]);
    expect(shortestThrough([])).toEqual([]);
  });
});
