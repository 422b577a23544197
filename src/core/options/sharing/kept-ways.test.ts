import { seeded } from "../../../../tests/support/seeded";
import { KeptWays } from "./kept-ways";

const random = seeded(7);
const offered = Array.from({ length: 600 }, (_, order) => ({
  end: random.whole(0, 199),
  total: random.whole(0, 99),
  order,
}));

/** The cheapest to each end, then the cheapest of those; of equal ones the first. */
function bySorting(most: number): number[] {
  const ends = new Map<number, { total: number; order: number }>();
  for (const way of offered) {
    const known = ends.get(way.end);
    if (known === undefined || way.total < known.total) ends.set(way.end, way);
  }
  return [...ends.values()]
    .map(({ total }) => total)
    .sort((a, b) => a - b)
    .slice(0, most);
}

describe("ways kept", () => {
  it.each([5, 40, 120])("are the %d cheapest, each to an end of its own", (most) => {
    const kept = new KeptWays<{ end: number; total: number }>(most);
    for (const way of offered) kept.offer(way.end, way);
    const ways = kept.ways();
    expect(ways.map(({ total }) => total)).toEqual(bySorting(most));
    expect(new Set(ways.map(({ end }) => end)).size).toBe(ways.length);
    expect(kept.isWhole).toBe(false);
  });

  it("are all of them while there is room", () => {
    const kept = new KeptWays<{ total: number }>(200);
    for (const way of offered) kept.offer(way.end, way);
    expect(kept.isWhole).toBe(true);
    expect(kept.limit).toBe(Infinity);
    expect(kept.ways().map(({ total }) => total)).toEqual(bySorting(200));
  });
});
