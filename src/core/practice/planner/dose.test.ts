import { fingered, studyOfKeys } from "../../../../tests/support/studies";
import { RETURNING } from "../../physics";
import { doseAMinute, NO_DOSE, shareReturned, stepsToCome } from "./dose";

describe("the dose of wide openings", () => {
  const octaves = [
    [60, 72],
    [62, 74],
    [64, 76],
  ];
  const close = [
    [60, 64],
    [62, 65],
    [64, 67],
  ];
  const dose = (keys: readonly (readonly number[])[], side: "right" | "left" = "right", manner = {}) => {
    const study = studyOfKeys(keys, side, manner);
    return doseAMinute(study, fingered(study, side === "right" ? "151515" : "515151"));
  };

  it("is nothing for a hand that stays within its comfort, or that does not play", () => {
    expect(dose(close)).toEqual(NO_DOSE);
    expect(dose(octaves).left).toBe(0);
  });

  it("grows with what is open beyond comfort, and with loudness", () => {
    const ninths = octaves.map(([a, b]) => [a!, b! + 2]);
    expect(dose(ninths).right).toBeGreaterThan(dose(octaves).right);
    expect(dose(ninths, "right", { loudness: 1 }).right).toBeGreaterThan(dose(ninths).right);
    expect(dose(ninths, "right", { loudness: 0.2 }).right).toBeLessThan(dose(ninths).right);
  });

  it("is the same whichever the tempo, for it is of a minute", () => {
    const ninths = octaves.map(([a, b]) => [a!, b! + 2]);
    expect(dose(ninths, "right", { tempo: 60 }).right).toBeCloseTo(dose(ninths, "right", { tempo: 120 }).right, 6);
  });

  it("comes back by steps after a stop, and never past the limit", () => {
    expect(shareReturned(null)).toBe(1);
    const shares = Array.from({ length: 20 }, (_, i) => shareReturned(i));
    expect(shares.every((share, i) => share <= 1 && (i === 0 || share >= shares[i - 1]!))).toBe(true);
    expect([shares[0], shares[19]]).toEqual([RETURNING[0].share, 1]);
    expect(stepsToCome(4).map(({ inDays }) => inDays)).toEqual([3, 10]);
    expect(stepsToCome(null)).toEqual([]);
  });
});
