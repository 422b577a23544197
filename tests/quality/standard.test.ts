import { qualityCases } from "../../quality/cases";
import { agreements, summary } from "../../quality/measure";

describe("agreement with the standard fingerings", () => {
  it("is at least 98 of 100 graded notes", () => {
    const { notes, graded, cases } = summary(agreements(qualityCases()));
    expect(cases).toBe(96);
    expect((100 * notes) / graded).toBeGreaterThanOrEqual(98);
  });
});
