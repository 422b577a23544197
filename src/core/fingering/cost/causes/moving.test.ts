import { WEIGHTS } from "../weights";
import { findings } from "../../../../../tests/support/findings";
import { note, passage } from "../../../../../tests/support/passages";
import { studyOfKeys, studyOn } from "../../../../../tests/support/studies";
import type { Manner } from "../../../passage/passage";
import { MOTION } from "../../../physics";

describe("causes of a hand that moves or lets go", () => {
  it("carry and shortfall: the farther and the faster, the more", () => {
    const leap = (tempo: number) => findings(studyOfKeys([60, 84], "right", { tempo }), "15", "shortfall");
    expect(leap(40)).toEqual([]);
    expect(leap(200)[0]!.found.strain).toBeGreaterThan(leap(150)[0]!.found.strain);
    const carried = (to: number) => findings(studyOfKeys([60, to]), "15", "carry")[0]!.found.amount;
    expect(carried(96) - carried(84)).toBeCloseTo(164.5, 6);
  });

  it("position: speaks when three notes do not lie under one hand", () => {
    expect(findings(studyOfKeys([60, 62, 64]), "123", "position")).toEqual([]);
    expect(findings(studyOfKeys([60, 64, 62]), "242", "position").map((f) => f.at)).toEqual([2]);
  });

  it("position: leaves it to a thumb pass that it sets the hand in a new place", () => {
    const strains = findings(studyOfKeys([60, 64, 69]), "121", "position").map(({ found }) => found.strain);
    expect(Math.max(0, ...strains)).toBeLessThanOrEqual(WEIGHTS.outOfPlace);
  });

  it("begun inside: each finger between the thumb and the one that begins a broken chord on white, or ends it", () => {
    const strain = (keys: number[], digits: string, side: "left" | "right" = "right") =>
      findings(studyOfKeys(keys, side), digits, "begun-inside").reduce((sum, f) => sum + f.found.strain, 0);
    expect(strain([60, 64, 67, 72], "1231")).toBe(0);
    expect(strain([60, 64, 67, 72], "2312")).toBe(WEIGHTS.begunInside);
    expect(strain([60, 64, 67], "345")).toBe(2 * WEIGHTS.begunInside);
    expect(strain([72, 67, 64, 60], "2132")).toBe(WEIGHTS.begunInside);
    expect(strain([60, 57, 53], "234", "left")).toBe(WEIGHTS.begunInside);
    expect(strain([61, 64, 68], "235")).toBe(0);
    expect(strain([60, 64, 60], "242")).toBe(0);
    expect(strain([60, 62, 64], "234")).toBeCloseTo(MOTION.insideByStep * WEIGHTS.begunInside, 9);
  });

  it("begun inside: after a rest as at the beginning, and nowhere within", () => {
    const keys = [60, 64, 67, 72, 76, 79];
    const found = (rest: number) => {
      const notes = keys.map((key, i) => note(`n${i}`, key, `${i < 3 ? i : i + rest}/4`, "1/4"));
      return findings(studyOn(passage(notes)), "123235", "begun-inside");
    };
    expect(found(0)).toEqual([]);
    expect(found(2).map(({ found }) => found.strain)).toEqual([WEIGHTS.begunInside]);
  });

  it("line broken: one price for every break, less where no hand could join the notes, none where the arm sets down both of two chords", () => {
    const strain = (keys: (number | number[])[], digits: string) =>
      findings(studyOfKeys(keys), digits, "line-broken").reduce((sum, f) => sum + f.found.strain, 0);
    const hop = findings(studyOfKeys([60, 62]), "11", "same-finger")[0]!.found.strain;
    expect(strain([60, 62], "32")).toBeCloseTo(hop, 6);
    expect(strain([60, 84], "15")).toBeLessThan(hop);
    expect(strain([60, 84], "15")).toBeGreaterThan(0);
    expect(
      strain(
        [
          [60, 72],
          [62, 74],
        ],
        "1515",
      ),
    ).toBe(0);
  });

  it("line broken: less where a pair is set down after a pair by other fingers than by the same", () => {
    const strain = (digits: string) =>
      findings(
        studyOfKeys([
          [60, 64],
          [67, 71],
        ]),
        digits,
        "line-broken",
      ).reduce((sum, f) => sum + f.found.strain, 0);
    expect(strain("2413")).toBeCloseTo((1 - MOTION.setDownTogether) * strain("2424"), 9);
    expect(strain("2424")).toBeGreaterThan(0);
  });

  it("carry: a hand that lets go goes from where it is at rest over one key to where it is at rest over the other", () => {
    const mm = (digits: string, side: "right" | "left" = "right") =>
      findings(studyOfKeys(side === "right" ? [60, 96] : [96, 60], side), digits, "carry")[0]!.found.amount;
    expect(mm("15")).toBeLessThan(mm("11"));
    expect(mm("51")).toBeGreaterThan(mm("55"));
    expect(mm("51") - mm("11")).toBeCloseTo(mm("11") - mm("15"), 6);
    expect(mm("51", "left")).toBeCloseTo(mm("51"), 6);
  });

  it("position: where octaves are broken each end is spared a part of what the hand moves", () => {
    const strains = (keys: number[], digits: string) =>
      findings(studyOfKeys(keys), digits, "position").map(({ found }) => found.strain);
    const [wide] = strains([73, 60, 72], "515");
    const [near] = strains([73, 65, 72], "515");
    expect(wide).toBeCloseTo(near! * (1 - MOTION.endsSpare), 6);
  });

  it("line broken: costs less between two notes and two than between single ones", () => {
    const strain = (keys: readonly (number | readonly number[])[], digits: string) =>
      findings(studyOfKeys(keys), digits, "line-broken")[0]!.found.strain;
    const thirds = [
      [63, 67],
      [65, 68],
    ];
    expect(strain(thirds, "3513")).toBeLessThan(strain([60, 62], "32"));
  });

  it("line broken: costs less from one broken chord to the next, on which the hand is set down anew", () => {
    const breaks = (keys: readonly number[], digits: string) =>
      findings(studyOfKeys(keys, "left"), digits, "line-broken").map(({ at, found }) => [at, found.strain] as const);
    const next = [60, 67, 64, 67];
    const [[at, anew]] = breaks([48, 55, 52, 55, ...next], "51315131") as [readonly [number, number]];
    const [[, whole]] = breaks([48, 53, 52, 55, ...next], "52315131") as [readonly [number, number]];
    expect(at).toBe(4);
    expect(anew).toBeCloseTo(MOTION.setDownAnew * whole, 6);
  });

  it("position: the thumb opens from a finger that plays between, where both ways are relaxed; other fingers have their place", () => {
    const moved = (keys: number[], digits: string, side: "right" | "left" = "right") =>
      findings(studyOfKeys(keys, side), digits, "position").reduce((sum, { found }) => sum + found.amount, 0);
    expect(moved([60, 69, 62], "151")).toBeLessThan(moved([69, 60, 71], "515") / 2);
    expect(moved([67, 60, 69], "151", "left")).toBeLessThan(moved([60, 73, 62], "151") / 2);
    expect(moved([60, 73, 62], "151")).toBeGreaterThan(0);
    expect(moved([69, 60, 71], "515")).toBeGreaterThan(0);
    expect(moved([67, 60, 69], "313")).toBeGreaterThan(0);
    const words = (keys: (number | number[])[], digits: string) =>
      findings(studyOfKeys(keys), digits, "position").map(({ found }) => found.words);
    expect(words([60, 69, 62], "151")).toEqual(["the thumb moves on to another key here"]);
    expect(words([65, 60, 62], "214")).toEqual(["the hand moves to a new place here"]);
  });

  it("bound broken: the hand is carried across a wide pass where the school or the pedal has it so", () => {
    const arpeggio = (manner: Partial<Manner>, cause: string) =>
      findings(studyOfKeys([60, 65, 69, 76, 79], "right", manner), "12312", cause);
    expect(arpeggio({}, "line-broken")).toEqual([]);
    expect(arpeggio({}, "thumb-pass")).toHaveLength(1);
    for (const manner of [{ arpeggios: "carried" }, { pedal: true }] as const) {
      expect(arpeggio(manner, "line-broken").map((f) => f.at)).toEqual([3]);
      expect(arpeggio(manner, "thumb-pass")).toEqual([]);
    }
    expect(findings(studyOfKeys([64, 65], "right", { pedal: true }), "31", "line-broken")).toEqual([]);
  });
});
