import fc from "fast-check";
import { note, passage } from "../../../tests/support/passages";
import { studyOn } from "../../../tests/support/studies";
import { bestFingerings } from "../fingering/study/study";
import { planOf } from "../motion/plan/plan";
import { motionSweeping } from "../motion/plan/motion-sweep";
import { drain } from "../drain";
import { add, beats, compare, multiply, toNumber, ZERO } from "../time/beats";
import { lineOf } from "./line";
import { barAt, COMMON_METRE, metreFrom, pulseAt, pulseIn, type Metre, type PassageBar } from "./metre";
import type { Passage } from "./passage";

const counted = fc.tuple(fc.integer({ min: 1, max: 16 }), fc.constantFrom(2, 4, 8, 16));

describe("a metre", () => {
  it("begins its beats within its bar, in order, and fills it", () => {
    fc.assert(
      fc.property(counted, ([count, unit]) => {
        const { length, beats: starts } = metreFrom([count], unit);
        expect(length).toBe(beats(4 * count, unit));
        expect(starts[0]).toBe(ZERO);
        for (const [i, start] of starts.entries()) if (i > 0) expect(compare(start, starts[i - 1]!)).toBeGreaterThan(0);
        expect(compare(starts.at(-1)!, length)).toBeLessThan(0);
      }),
    );
  });

  it("says the same of a place in every bar", () => {
    fc.assert(
      fc.property(
        counted,
        fc.integer({ min: 0, max: 63 }),
        fc.integer({ min: 0, max: 500 }),
        ([count, unit], at, bars) => {
          const metre = metreFrom([count], unit);
          const place = beats(at, 16);
          expect(pulseAt(metre, add(place, multiply(metre.length, beats(bars))))).toBe(pulseAt(metre, place));
        },
      ),
    );
  });
});

/** Bars of one metre, the first beginning within it where it is a pick-up. */
function barsOf(metre: Metre, count: number, from = "0", start = "0"): readonly PassageBar[] {
  let at = beats(start);
  return Array.from({ length: count }, (_, i) => {
    const begins = i === 0 ? beats(from) : ZERO;
    const bar = { number: String(i + 1), start: at, from: begins, metre };
    at = add(at, beats(toNumber(metre.length) - toNumber(begins)));
    return bar;
  });
}

const run = (count: number, step: string, bars: readonly PassageBar[], start = "0"): Passage => ({
  ...passage(
    Array.from({ length: count }, (_, i) =>
      note(`n${i}`, 60 + [0, 2, 4, 5, 7, 5, 4, 2][i % 8]!, add(beats(start), multiply(beats(step), beats(i))), step),
    ),
  ),
  bars,
});

const pulsesOf = (given: Passage) =>
  lineOf(given, "right", { tempo: 100, touch: "legato", pedal: false }).onsets.flatMap((o, i) =>
    o.pulse === "bar" ? [i] : [],
  );

describe("an onset in its bar", () => {
  it.each([
    ["3/4 in eighths", run(18, "1/2", barsOf(metreFrom([3], 4), 3)), [0, 6, 12]],
    ["6/8 in eighths", run(12, "1/2", barsOf(metreFrom([6], 8), 2)), [0, 6]],
    ["2/4 in sixteenths", run(16, "1/4", barsOf(metreFrom([2], 4), 2)), [0, 8]],
    ["5/8 in eighths", run(10, "1/2", barsOf(metreFrom([5], 8), 2)), [0, 5]],
    ["4/4 with a pick-up of one quarter", run(20, "1/4", barsOf(COMMON_METRE, 3, "3")), [4]],
    ["a passage that begins inside a piece", run(12, "1/2", barsOf(metreFrom([3], 4), 2, "0", "21"), "21"), [0, 6]],
  ])("is a first beat where the bars of %s begin", (_what, given, expected) => {
    expect(pulsesOf(given)).toEqual(expected);
  });

  it("is a beat of its metre, in threes where it goes in threes", () => {
    const [bar] = barsOf(metreFrom([6], 8), 1);
    expect(["0", "1/2", "1", "3/2", "2"].map((at) => pulseIn(bar!, beats(at)))).toEqual([
      "bar",
      "between",
      "between",
      "beat",
      "between",
    ]);
  });

  it("is found among many bars as it is by looking at each", () => {
    const bars = barsOf(metreFrom([7], 8), 40, "1");
    for (let eighths = 0; eighths < 200; eighths += 3) {
      const at = beats(eighths, 2);
      const slowly = bars.findLast(({ start }) => compare(start, at) <= 0) ?? bars[0];
      expect(barAt(bars, at)).toBe(slowly);
    }
    expect(barAt([], beats(5)).metre).toBe(COMMON_METRE);
  });
});

describe("the plan follows the metre", () => {
  const groupsOf = (given: Passage) => {
    const study = studyOn(given, { tempo: 100 });
    return planOf(study, bestFingerings(study, {}, 1)[0]!).hands[0]!.impulses.map((g) => g.from);
  };

  it("with groups that begin with bars in three and with beats in six", () => {
    const inThree = groupsOf(run(12, "1/2", barsOf(metreFrom([3], 4), 2)));
    expect(inThree).toContain(6);
    const inSix = groupsOf(run(24, "1/4", barsOf(metreFrom([6], 8), 2)));
    for (const start of [6, 12, 18]) expect(inSix).toContain(start);
    expect(inSix).not.toContain(4);
  });

  it("and never throws on a hand that has nothing to play", () => {
    const notes = [60, 62, 64].map((key, i) => note(`n${i}`, key, `${i}/2`, "1/2"));
    const study = studyOn(passage(notes, "both", 2));
    const [best] = bestFingerings(study, {}, 1);
    const { curves } = drain(motionSweeping(study, [best!], 60, 120));
    expect(curves[0]!.travel.every(Number.isFinite)).toBe(true);
    const silent = studyOn(passage([], "both", 2));
    expect(drain(motionSweeping(silent, [{}], 60, 120)).curves[0]!.travel).toEqual(Array.from({ length: 9 }, () => 0));
  });
});
