import type { HandMeasured } from "@/core/hand/measured";
import { fieldsOf, measuredOf } from "./fields";

describe("a hand's figures as typed", () => {
  const measured: HandMeasured = {
    rulerSpan: 191,
    pairs: { "1-5": { comfortable: 158.5, widest: 172 }, "2-3": { widest: 50 } },
    tipWidths: { 1: 21 },
    behind: { 5: 33 },
    turnsEase: 2.5,
  };

  it("say what was measured, there and back", () => {
    expect(measuredOf(fieldsOf(measured))).toEqual(measured);
    expect(measuredOf({})).toEqual({ pairs: {}, tipWidths: {}, behind: {} });
  });

  it("take a comma for a point, and keep what is no number from passing for one", () => {
    expect(measuredOf({ rulerSpan: " 190,5 " }).rulerSpan).toBe(190.5);
    expect(measuredOf({ "pairs.1-5.widest": "wide" }).pairs!["1-5"]!.widest).toBeNaN();
  });
});
