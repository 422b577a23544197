import { fingered, studyOfKeys } from "../../../tests/support/studies";
import { drain } from "../drain";
import { figuresOf } from "../figures/find";
import { bondsOf } from "../figures/ties";
import { adviceOn } from "../fingering/explain/advice";
import { compare } from "../fingering/explain/compare";
import { keepsTo } from "./asked/keeps-to";
import { offering } from "./offering";
import { bestFingerings, judge, latticesOf, notesAsked, solving } from "../fingering/study/study";
import { tyingPrice } from "./asked/tying-price";
import { layOf } from "./worth-showing";

const RUN = [60, 64, 67, 72, 71, 67, 65, 69, 72, 77, 76, 72];

describe("what is offered", () => {
  const study = studyOfKeys(RUN);
  const offers = drain(offering(study, {}, 4));

  it("begins with the least strain, and each of the others lies otherwise and says what it gains and costs", () => {
    expect(offers[0]).toMatchObject({ leaning: "balanced", sentence: "The least strain in all." });
    const lies = layOf(study);
    expect(new Set(offers.map((o) => lies(o.fingering))).size).toBe(offers.length);
    for (const { sentence } of offers.slice(1)) expect(sentence).toMatch(/^Differs from bar 1, .*gains .*costs /);
  });

  it("strains not much more than the best, judged by the plain weights", () => {
    const [best] = offers;
    for (const { judged, fingering } of offers) {
      expect(judged.strain).toBeLessThanOrEqual(best!.judged.strain * 1.5 + 3);
      expect(judged.strain).toBeCloseTo(judge(study, fingering).strain, 9);
    }
  });

  it("keeps to what is asked", () => {
    const first = notesAsked(study)[0]!;
    for (const { fingering } of drain(offering(study, { pins: { [first]: 3 } }, 3))) expect(fingering[first]).toBe(3);
  });
});

describe("one fingering against another", () => {
  const study = studyOfKeys([60, 62, 64, 65, 67, 69, 71, 72]);
  const [good, poor] = [fingered(study, "12312345"), fingered(study, "12341235")];

  it("adds up: the changes by cause come to the change in all", () => {
    const { by, causes, differs } = compare(study, poor, good);
    expect(by).toBeGreaterThan(0);
    expect(causes.reduce((sum, c) => sum + c.by, 0)).toBeCloseTo(by, 1);
    expect(differs).toHaveLength(4);
    expect(compare(study, good, good).sentence).toBe("The same fingers throughout.");
  });

  it("is advice, stretch by stretch, each priced by itself", () => {
    const [change, ...more] = adviceOn(study, poor, good);
    expect(more).toEqual([]);
    expect(change!.from).toEqual([4, 1, 2, 3]);
    expect(change!.to).toEqual([1, 2, 3, 4]);
    expect(change!.by).toBeCloseTo(judge(study, good).strain - judge(study, poor).strain, 9);
    expect(adviceOn(study, good, good)).toEqual([]);
  });

  it("is never better than what the search finds", () => {
    const [best] = bestFingerings(study, {}, 1);
    expect(compare(study, poor, best!).by).toBeGreaterThanOrEqual(0);
  });
});

describe("ties", () => {
  const study = studyOfKeys([60, 64, 62, 67, 65, 71, 72, 61, 65, 63, 68, 66]);
  const lattices = latticesOf(study);

  it("have a price, and a place where most of it falls", () => {
    const bonds = bondsOf(study, figuresOf(study), "all");
    const [tied] = drain(solving(lattices, { bonds }, 1));
    const [free] = drain(solving(lattices, {}, 1));
    const price = tyingPrice(study, tied!, free!);
    expect(price.by).toBeCloseTo((tied!.total - free!.total) / 12, 6);
    expect(price.where === null).toBe(price.by === 0);
    expect(keepsTo(study, { bonds }, tied!.fingering)).toBe(true);
    expect(tyingPrice(study, free!, free!)).toEqual({ by: 0, where: null, exact: true });
  });

  it("and other conditions are told to be kept or not", () => {
    const keys = studyOfKeys([60, 61, 62, 64]);
    const [a, b] = notesAsked(keys);
    const given = fingered(keys, "2145");
    expect(keepsTo(keys, {}, given)).toBe(true);
    expect(keepsTo(keys, { pins: { [a!]: 2 } }, given)).toBe(true);
    expect(keepsTo(keys, { pins: { [a!]: 3 } }, given)).toBe(false);
    expect(keepsTo(keys, { ruledOut: { [b!]: [1] } }, given)).toBe(false);
    expect(keepsTo(keys, { noThumbOnBlack: true }, given)).toBe(false);
    expect(keepsTo(keys, { noFourthAndFifth: true }, given)).toBe(false);
    expect(keepsTo(keys, { bonds: [[a!, b!]] }, given)).toBe(false);
  });
});
