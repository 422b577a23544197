import { findings } from "../../../../../tests/support/findings";
import { studyOfKeys } from "../../../../../tests/support/studies";
import { MOTION } from "../../../physics";
import { WEIGHTS } from "../weights";

describe("thumb or little finger on black", () => {
  it("once for the way in, little while the hand lies in", () => {
    const strains = (keys: number[], digits: string) =>
      findings(studyOfKeys(keys), digits, "outer-on-black").map((f) => f.found.strain);
    expect(strains([66, 68], "23")).toEqual([]);
    const [way, again] = strains([66, 69, 66], "131");
    expect(way!).toBeGreaterThan(0);
    expect(again!).toBeLessThan(way! / 2);
  });

  it("less in a chord, which the hand is set down on as a whole", () => {
    const strain = (keys: number[][], digits: string) =>
      findings(studyOfKeys(keys), digits, "outer-on-black").reduce((sum, f) => sum + f.found.strain, 0);
    expect(strain([[61, 64, 69]], "125")).toBeCloseTo(strain([[61, 69]], "15") * MOTION.inWithChord, 9);
    expect(strain([[60, 64, 69]], "125")).toBe(0);
  });

  it("less in a group that turns over its keys, struck one by one", () => {
    const strain = (keys: number[], digits: string) =>
      findings(studyOfKeys(keys), digits, "outer-on-black").reduce((sum, f) => sum + f.found.strain, 0);
    const once = [61, 68, 65, 68];
    expect(strain([...once, ...once], "15351535")).toBeLessThan(strain(once, "1535"));
    // Along a scale the hand goes with the keys.
    expect(strain([58, 60, 62, 63, 60, 62, 63, 65], "12341234")).toBeCloseTo(strain([58, 60, 62], "123"), 9);
  });

  it("the hand goes in only if it plays on from there", () => {
    const strain = (keys: number[], digits: string) =>
      findings(studyOfKeys(keys, "left"), digits, "outer-on-black").reduce((sum, f) => sum + f.found.strain, 0);
    expect(strain([37, 39], "54")).toBeGreaterThan(strain([37, 64], "51") * 4);
    expect(strain([37, 64], "51")).toBeCloseTo(WEIGHTS.littleOnBlack * MOTION.inWhenSetDown, 9);
    expect(strain([64, 37, 64], "151")).toBeLessThan(strain([64, 37, 39], "154") / 2);
  });

  it("however long it had to go in, the more the faster it plays on", () => {
    const strain = (tempo: number) =>
      findings(studyOfKeys([58, 60, 62], "right", { tempo }), "123", "outer-on-black").reduce(
        (sum, f) => sum + f.found.strain,
        0,
      );
    const inUsualTime = strain(60_000 / MOTION.usualMs / 4);
    expect(inUsualTime).toBeCloseTo(WEIGHTS.thumbOnBlack * MOTION.inAtFirst, 6);
    expect(strain(160)).toBeGreaterThan(inUsualTime * 1.15);
    expect(strain(60)).toBeLessThan(inUsualTime);
  });
});
