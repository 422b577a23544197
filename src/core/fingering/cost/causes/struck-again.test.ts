import { findings } from "../../../../../tests/support/findings";
import { studyOfKeys } from "../../../../../tests/support/studies";
import { MOTION } from "../../../physics";

describe("causes of a key struck again", () => {
  it("struck again: several keys are the wrist's whichever fingers take them, one key is the finger's", () => {
    const strain = (keys: (number | number[])[], digits: string) =>
      findings(studyOfKeys(keys, "right", { tempo: 120 }), digits, "repetition").reduce(
        (sum, f) => sum + f.found.strain,
        0,
      );
    const third = [
      [60, 64],
      [60, 64],
    ];
    expect(strain(third, "1324")).toBeCloseTo(strain(third, "1313"), 9);
    expect(strain(third, "1313")).toBeGreaterThan(0);
    expect(strain([60, 60], "12")).toBe(0);
    expect(strain([60, 60], "11")).toBeGreaterThan(0);
  });

  it("struck again: two strokes go with ease faster than more do, and are not all where another finger strikes on", () => {
    const strain = (digits: string, tempo = 120) => {
      const study = studyOfKeys(Array<number>(digits.length).fill(60), "right", { tempo });
      const found = [...findings(study, digits, "repetition"), ...findings(study, digits, "series")];
      return found.reduce((sum, f) => sum + f.found.strain, 0);
    };
    expect(strain("22", 80)).toBe(0);
    expect(strain("222", 80)).toBeGreaterThan(0);
    expect(strain("222")).toBeGreaterThan(2 * strain("22"));
    expect(strain("221")).toBeGreaterThan(strain("22"));
    expect(strain("321")).toBe(0);
  });

  it("other finger on the same key: dearer with one note between than at once", () => {
    const strain = (keys: number[], digits: string) =>
      findings(studyOfKeys(keys), digits, "other-finger").reduce((sum, f) => sum + f.found.strain, 0);
    expect(strain([60, 60], "21")).toBeGreaterThan(0);
    expect(strain([60, 62, 60], "231")).toBeCloseTo(MOTION.otherAfterOne * strain([60, 60], "21"), 9);
  });

  it("other finger on the same key: not from a whole chord by way of one note, but at once", () => {
    const strain = (keys: (number | number[])[], digits: string) =>
      findings(studyOfKeys(keys), digits, "other-finger").reduce((sum, f) => sum + f.found.strain, 0);
    const once = strain([60, 60], "21");
    expect(strain([[60, 64, 67], 60, 64], "13512")).toBe(0);
    expect(strain([[60, 64, 67], 64], "1352")).toBeCloseTo(once, 9);
  });

  it("other finger on the same key: less where the next of groups in one order begins", () => {
    const threes = [60, 62, 64, 62, 64, 65, 64, 65, 67, 65, 67, 69];
    const found = findings(studyOfKeys(threes), "123234123234", "other-finger");
    const once = findings(studyOfKeys([60, 60]), "21", "other-finger")[0]!.found.strain;
    expect(found).toHaveLength(2);
    for (const f of found) expect(f.found.strain).toBeCloseTo(MOTION.otherInNext * once, 9);
  });
});
