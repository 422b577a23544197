import { seeded } from "../../../tests/support/seeded";
import { handOfRulerSpan, limitsOf } from "./hand";
import { handOfMeasured, problemsOf, spansOf, type HandMeasured } from "./measured";
import { PAIRS, pairName } from "./pair";

describe("a hand from what was measured", () => {
  it("is the published hand scaled where only the ruler was used", () => {
    const [measured, scaled] = [handOfMeasured("left", { rulerSpan: 198 }), handOfRulerSpan("left", 198)];
    expect(measured.limits).toEqual(scaled.limits);
    expect(measured.restOffsets).toEqual(scaled.restOffsets);
    expect(measured.behind).toEqual(scaled.behind);
  });

  it("is a middle hand where nothing was measured, and says how little it knows", () => {
    expect(handOfMeasured("right", {}).limits).toEqual(handOfRulerSpan("right", 205).limits);
    const { widest } = spansOf({})["1-5"];
    expect(widest.measured).toBe(false);
    expect(widest.range[0]).toBeLessThan(187 - 25);
    expect(widest.range[1]).toBeGreaterThan(187 + 25);
  });

  it("takes every measured figure as it is and marks it", () => {
    const measured: HandMeasured = {
      rulerSpan: 200,
      pairs: { "1-5": { comfortable: 160, widest: 178 }, "2-3": { comfortable: 38 }, "3-4": { widest: 44 } },
      tipWidths: { 1: 22 },
      behind: { 5: 40 },
    };
    const [hand, spans] = [handOfMeasured("right", measured), spansOf(measured)];
    expect(limitsOf(hand, 1, 5)).toMatchObject({ widestComfortable: 160, widestPractical: 178 });
    expect(limitsOf(hand, 2, 3).widestComfortable).toBe(38);
    expect(limitsOf(hand, 3, 4).widestPractical).toBe(44);
    expect([hand.tipWidths[0], hand.behindFlat[4]]).toEqual([22, 40]);
    expect(spans["1-5"].comfortable).toEqual({ mm: 160, measured: true, range: [160, 160] });
    expect([spans["2-3"].comfortable.measured, spans["2-3"].widest.measured]).toEqual([true, false]);
    expect(spans["1-2"].widest.measured).toBe(false);
  });

  it("estimates the rest in the proportion of what was measured, with a range that holds it", () => {
    const wide = spansOf({ pairs: { "1-5": { widest: 210 } } })["2-5"].widest;
    const narrow = spansOf({ pairs: { "1-5": { widest: 160 } } })["2-5"].widest;
    expect(wide.mm / narrow.mm).toBeCloseTo(210 / 160, 6);
    expect(wide.range[0]).toBeLessThan(wide.mm);
    expect(wide.range[1]).toBeGreaterThan(wide.mm);
    // Figures that disagree about the hand's size leave more doubt than one.
    const doubtful = spansOf({ pairs: { "1-5": { widest: 210 }, "2-3": { widest: 50 } } })["2-5"].widest;
    const width = (f: typeof wide) => (f.range[1] - f.range[0]) / f.mm;
    expect(width(doubtful)).toBeGreaterThan(width(wide));
  });

  it("has limits that never turn back, whatever was measured", () => {
    const random = seeded(3);
    for (let trial = 0; trial < 200; trial++) {
      const pairs = Object.fromEntries(
        PAIRS.filter(() => random.chance(0.5)).map(([a, b]) => {
          const widest = random.whole(30, 200);
          return [
            pairName(a, b),
            random.chance(0.5) ? { comfortable: random.whole(20, widest), widest } : { comfortable: widest },
          ];
        }),
      );
      const hand = handOfMeasured("right", { pairs });
      for (const [a, b] of PAIRS) {
        const l = limitsOf(hand, a, b);
        const order = [
          l.leastPractical,
          l.leastComfortable,
          l.leastRelaxed,
          l.widestRelaxed,
          l.widestComfortable,
          l.widestPractical,
        ];
        expect(order).toEqual([...order].sort((one, other) => one - other));
        expect(l.widestPractical).toBeGreaterThan(l.widestComfortable);
      }
    }
  });
});

describe("what cannot be so", () => {
  const sentences = (measured: HandMeasured) => problemsOf(measured).map((p) => p.sentence);

  it("are asked of the forearm's turns too, and what a player counted takes the place of what is usual", () => {
    expect(sentences({ rulerSpan: 205, turnsEase: 30 })).toEqual([
      "30 turns of the forearm a second are outside what goes with ease (0.5 to 8).",
    ]);
    const usual = handOfMeasured("right", { rulerSpan: 205 });
    const slower = handOfMeasured("right", { rulerSpan: 205, turnsEase: 2 });
    expect(slower.rotation.ease).toBe(2);
    expect(slower.rotation.fails / slower.rotation.ease).toBeCloseTo(usual.rotation.fails / usual.rotation.ease, 9);
  });

  it("is nothing for hands as they are", () => {
    expect(problemsOf({})).toEqual([]);
    expect(
      problemsOf({ rulerSpan: 191, pairs: { "1-5": { comfortable: 158, widest: 172 }, "2-5": { widest: 120 } } }),
    ).toEqual([]);
  });

  it.each<[string, HandMeasured, RegExp, string]>([
    [
      "a span no hand has",
      { rulerSpan: 400 },
      /A span of 400 mm is outside what a hand can be \(130 to 290 mm\)/,
      "rulerSpan",
    ],
    [
      "comfort beyond the widest",
      { pairs: { "2-5": { comfortable: 130, widest: 110 } } },
      /2 and 5 cannot open more with comfort/,
      "pairs.2-5.comfortable",
    ],
    [
      "an inner pair wider than the hand",
      { pairs: { "1-5": { widest: 90 }, "2-5": { widest: 120 } } },
      /2 and 5 cannot open more \(120 mm\) than 1 and 5/,
      "pairs.2-5.widest",
    ],
    [
      "a little finger wider than the hand",
      { pairs: { "1-5": { widest: 80 }, "4-5": { widest: 95 } } },
      /4 and 5 cannot open more \(95 mm\) than 1 and 5/,
      "pairs.4-5.widest",
    ],
    [
      "keys farther apart than the ruler",
      { rulerSpan: 180, pairs: { "1-5": { widest: 195 } } },
      /195 mm apart with a hand that is 180 mm wide/,
      "pairs.1-5.widest",
    ],
    ["a tip as broad as two", { tipWidths: { 2: 34 } }, /A tip of finger 2 of 34 mm/, "tipWidths.2"],
    ["a figure that is no number", { rulerSpan: Number.NaN }, /A span of NaN mm/, "rulerSpan"],
  ])("refuses %s, naming the figure", (_name, measured, sentence, at) => {
    expect(sentences(measured).some((s) => sentence.test(s))).toBe(true);
    expect(problemsOf(measured).map((p) => p.at)).toContain(at);
  });
});
