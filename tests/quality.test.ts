import { qualityCases } from "../quality/cases";
import { agreement, summary } from "../quality/measure";

describe("agreement with the standard fingerings", () => {
  it("is at least 93 of 100 graded notes", () => {
    const { notes, graded, cases } = summary(qualityCases().map((given) => agreement(given)));
    expect(cases).toBe(96);
    expect((100 * notes) / graded).toBeGreaterThanOrEqual(93);
  });
});
