import { note, passage, randomPassage } from "../../../tests/support/passages";
import { seeded } from "../../../tests/support/seeded";
import { fingered as digits, studyOfKeys, studyOn } from "../../../tests/support/studies";
import { figuresOf } from "../figures/find";
import { bestFingerings, judge, type Study } from "../fingering/study/study";
import { fingered, meritById, MERITS, meritTable } from ".";

const given = (study: Study, fingers: string) =>
  fingered(study, judge(study, digits(study, fingers)), figuresOf(study));

describe("the figures of merit", () => {
  const scale = studyOfKeys([60, 62, 64, 65, 67, 69, 71, 72], "right", { tempo: 60 });

  it("count passes, moves and millimetres carried of a scale fingered by hand", () => {
    const once = given(scale, "12312345");
    expect(meritById("passes").find(once).amount).toBe(1);
    expect(meritById("moves").find(once).amount).toBe(1);
    expect(meritById("crossings").find(once).amount).toBe(0);
    // The hand goes from the thumb on C to the thumb on F: three white keys of 23.5 mm.
    const carried = meritById("carried").find(once).amount;
    expect(carried).toBeGreaterThan(40);
    expect(carried).toBeLessThan(75);
    expect(meritById("passes").find(given(scale, "12121212")).amount).toBe(3);
  });

  it("find the widest opening and where: an octave of 164.5 mm on a full-size keyboard", () => {
    const octave = studyOn(passage([note("a", 60, "0", "1"), note("b", 60, "1", "1"), note("c", 72, "1", "1")]));
    const found = meritById("widest-opening").find(given(octave, "115"));
    expect(found.amount).toBeCloseTo(164.5, 0);
    expect(found.where).toBe("b");
    expect(found.more).toMatch(/^1 and 5, 16[45] of \d+ mm$/);
  });

  it("measure rocking: sixteenths at 60 go to and fro twice a second", () => {
    const rocking = studyOfKeys([60, 67, 60, 67, 60], "right", { tempo: 60 });
    expect(meritById("rotation-rate").find(given(rocking, "15151")).amount).toBeCloseTo(2, 6);
    // Twice as fast, it goes to and fro twice as often.
    const faster = studyOfKeys([60, 67, 60, 67, 60], "right", { tempo: 120 });
    expect(meritById("rotation-rate").find(given(faster, "15151")).amount).toBeCloseTo(4, 6);
    // A scale goes one way at a time: no cycle of it is shorter than the hand's way up and back.
    expect(meritById("rotation-rate").find(given(scale, "12345123")).amount).toBeLessThan(
      meritById("rotation-rate").find(given(studyOfKeys([60, 62, 60, 62, 60, 62, 60, 62]), "12121212")).amount,
    );
  });

  it("count as closed the time in which no finger opens far", () => {
    expect(meritById("closed-time").find(given(studyOfKeys([60, 62, 64, 62, 60]), "12321")).amount).toBe(100);
    expect(meritById("closed-time").find(given(studyOfKeys([60, 72, 60, 72]), "1515")).amount).toBe(0);
  });

  it("are the same for the mirrored hand", () => {
    const mirror = (key: number): number => 2 * 62 - key;
    const keys = [60, 64, 67, 72, 71, 67, 65, 61];
    const right = given(studyOfKeys(keys, "right"), "12354321");
    const left = given(studyOfKeys(keys.map(mirror), "left"), "12354321");
    // What the plan warns of hangs on where the body sits, which is not mirrored with the hand.
    for (const merit of MERITS.filter((m) => m.id !== "warned"))
      expect(merit.find(left).amount).toBeCloseTo(merit.find(right).amount, 6);
  });

  it("mark the better one and say how far the others are from it", () => {
    const random = seeded(51);
    let told = 0;
    for (let trial = 0; trial < 12; trial++) {
      const study = studyOn(randomPassage(random, 8, "right"));
      const all = bestFingerings(study, {}, 3).map((f) => fingered(study, judge(study, f)));
      for (const { merit, found, better, apart } of meritTable(all)) {
        for (const i of better) {
          told++;
          expect(apart[i]).toBe("");
          for (const { amount } of found)
            expect(merit.better === "less" ? found[i]!.amount <= amount + 0.5 : found[i]!.amount >= amount - 0.5).toBe(
              true,
            );
        }
        if (better.length === 0) expect(new Set(apart)).toEqual(new Set(["the same"]));
      }
    }
    expect(told).toBeGreaterThan(10);
  });
});
