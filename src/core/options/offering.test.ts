import { fingered, studyOfKeys } from "../../../tests/support/studies";
import { drain } from "../drain";
import { figuresOf } from "../figures/find";
import { memoriesOf } from "../figures/ties";
import { adviceOn } from "../fingering/explain/advice";
import { compare } from "../fingering/explain/compare";
import { keepsTo } from "./asked/keeps-to";
import { OFFER } from "../physics";
import { ideasOf, isOtherIdea } from "./ideas";
import { offering, type Offer } from "./offering";
import type { Fingering } from "../fingering/study/fingering";
import { bestFingerings, judge, latticesOf, notesAsked, solving, type Study } from "../fingering/study/study";
import { bestLeaning } from "./leaning-study";
import { balanced } from "./leanings/balanced";
import { tyingPrice } from "./asked/tying-price";

const RUN = [60, 64, 67, 72, 71, 67, 65, 69, 72, 77, 76, 72];

describe("what is offered", () => {
  const study = studyOfKeys(RUN);
  const offers = drain(offering(study, {}, 4));

  it("begins with the best, and each of the others is another idea than all before it, and says which", () => {
    expect(offers[0]).toMatchObject({ leaning: "balanced" });
    const ideas = offers.map((o) => ideasOf(study, o.judged));
    ideas.forEach((one, i) => ideas.slice(0, i).forEach((other) => expect(isOtherIdea(one, other)).toBe(true)));
    for (const { sentence } of offers) expect(sentence).toMatch(/^[A-Z].*\.$/);
  });

  it("is captioned as the least strain only where nothing strains less", () => {
    for (const keys of [RUN, [60, 62, 64, 65, 67, 69, 71, 72], [...RUN, ...RUN.map((k) => k + 12)]]) {
      const passage = studyOfKeys(keys);
      const [first] = drain(offering(passage, {}, 1));
      const least = judge(passage, bestFingerings(passage, {}, 1)[0]!).strain;
      expect(first!.sentence.startsWith("The least strain in all.")).toBe(first!.judged.strain <= least + 0.005);
    }
  });

  it("strains not much more than the best, breaks and crosses nothing that the best does not, and gains something", () => {
    const [best] = offers;
    const breaks = ({ judged }: Offer) =>
      Object.values(judged.notes).filter(({ causes }) =>
        causes.some(({ cause }) => ["line-broken", "same-finger", "crossing"].includes(cause)),
      ).length;
    for (const offer of offers) {
      expect(offer.judged.strain).toBeLessThanOrEqual(best!.judged.strain * OFFER.mostTimes + OFFER.mostMore);
      expect(offer.judged.strain).toBeCloseTo(judge(study, offer.fingering).strain, 9);
      expect(breaks(offer)).toBeLessThanOrEqual(breaks(best!));
    }
  });

  it("begins with strain alone where what returns could keep its fingers only by breaking the line", () => {
    const run = [77, 74, 72, 70, 67, 65, 62, 60, 58, 60, 62, 65, 67, 70, 72, 74, 77];
    const breaks = (fingering: Fingering, of: Study) =>
      Object.values(judge(of, fingering).notes).filter(({ causes }) => causes.some((c) => c.cause === "line-broken"))
        .length;
    const fast = studyOfKeys(run, "right", { tempo: 112 });
    expect(breaks(bestLeaning(fast, balanced, {}, 1)[0]!.fingering, fast)).toBeGreaterThan(0);
    const [first] = drain(offering(fast, {}, 4));
    expect(first!.leaning).toBe("least-strain");
    expect(breaks(first!.fingering, fast)).toBe(0);
    expect(drain(offering(studyOfKeys(run), {}, 1))[0]!.leaning).toBe("balanced");
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
    const bonds = memoriesOf(study, figuresOf(study), "all").map(({ note, returns }) => [
      note,
      ...returns.map((r) => r.note),
    ]);
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
