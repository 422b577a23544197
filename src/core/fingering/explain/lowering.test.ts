import { randomPassage } from "../../../../tests/support/passages";
import { seeded } from "../../../../tests/support/seeded";
import { fingered, studyOfKeys, studyOn } from "../../../../tests/support/studies";
import { drain } from "../../drain";
import { loweringAt } from "./lowering";
import { bestFingerings, judge, latticesOf, notesAsked } from "../study/study";

describe("what would lower the strain at a place", () => {
  it("takes the thumb off a black key, and says so", () => {
    const study = studyOfKeys([63, 65, 67, 68]);
    const judged = judge(study, fingered(study, "1234"));
    const found = drain(loweringAt(study, latticesOf(study), {}, judged, notesAsked(study)[0]!));
    expect(found[0]!.gain).toBe("the thumb stays on white");
    for (const { here } of found) expect(here).toBeLessThan(0);
  });

  it("tells only what holds: the pin tried gives that change, here and elsewhere", () => {
    const random = seeded(77);
    let told = 0;
    for (let trial = 0; trial < 12; trial++) {
      const study = studyOn(randomPassage(random, 6, random.pick(["right", "left"])));
      const asked = notesAsked(study);
      const worse = bestFingerings(study, {}, 12).at(-1)!;
      const judged = judge(study, worse);
      const note = judged.peak!.note;
      for (const { note: other, finger, here, elsewhere, changes } of drain(
        loweringAt(study, latticesOf(study), {}, judged, note),
      )) {
        told++;
        const after = judge(study, bestFingerings(study, { pins: { [other]: finger } as never }, 1)[0]!);
        const total = asked.reduce((sum, id) => sum + after.notes[id]!.strain - judged.notes[id]!.strain, 0);
        expect(here + elsewhere).toBeCloseTo(total, 6);
        expect(changes).toBeGreaterThan(0);
      }
    }
    expect(told).toBeGreaterThan(5);
  });

  it("leaves the player's pins and rule-outs alone", () => {
    const study = studyOfKeys([60, 62, 63, 65, 67]);
    const judged = judge(study, fingered(study, "34123"));
    const [, before, note] = notesAsked(study);
    const conditions = { pins: { [before!]: 4 } as never, ruledOut: { [note!]: [2, 3, 4, 5] } as never };
    expect(drain(loweringAt(study, latticesOf(study), conditions, judged, note!))).toEqual([]);
  });
});
