import { NOT_TUNED_ON, qualityCases } from "../../quality/cases";
import { agreements, byPublishedModel, summary } from "../../quality/measure";

describe("agreement with the standard fingerings", () => {
  it("is at least 98 of 100 graded notes", () => {
    const { notes, graded, cases } = summary(agreements(qualityCases()));
    expect(cases).toBe(96);
    expect((100 * notes) / graded).toBeGreaterThanOrEqual(98);
  });

  it("is at least 95 of 100 in keys that no weight was tuned on, and beyond the published model's", () => {
    const held = qualityCases(NOT_TUNED_ON);
    const ours = summary(agreements(held));
    expect((100 * ours.notes) / ours.graded).toBeGreaterThanOrEqual(95);
    expect(ours.notes).toBeGreaterThan(summary(held.map((given) => byPublishedModel(given))).notes);
  });
});
