import fc from "fast-check";
import { add, beats, compare, divide, later, multiply, subtract, toMs, toNumber, ZERO } from "./beats";

const fraction = fc
  .tuple(fc.integer({ min: -500, max: 500 }), fc.integer({ min: 1, max: 96 }))
  .map(([n, d]) => beats(n, d));

describe("beats", () => {
  it("are exact and reduced", () => {
    expect(add(beats("1/3"), beats("1/6"))).toBe("1/2");
    expect(beats(24, 12)).toBe("2");
    expect(toMs(beats("3/2"), 120)).toBe(750);
    expect(() => beats("a third")).toThrow(RangeError);
    expect(() => beats(1, 0)).toThrow(RangeError);
  });

  it("add and subtract, multiply and divide back to where they were", () => {
    fc.assert(
      fc.property(fraction, fraction, (a, b) => {
        expect(subtract(add(a, b), b)).toBe(a);
        if (b !== ZERO) expect(divide(multiply(a, b), b)).toBe(a);
      }),
    );
  });

  it("compare as their numbers do, and equal ones are the same text", () => {
    fc.assert(
      fc.property(fraction, fraction, (a, b) => {
        expect(Math.sign(compare(a, b))).toBe(Math.sign(toNumber(a) - toNumber(b)));
        expect(compare(a, b) === 0).toBe(a === b);
        expect([a, b]).toContain(later(a, b));
      }),
    );
  });
});
