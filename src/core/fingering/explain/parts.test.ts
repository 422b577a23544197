import { note, passage } from "../../../../tests/support/passages";
import { fingered, studyOfKeys, studyOn } from "../../../../tests/support/studies";
import { partsOf } from "./parts";
import { bestFingerings, judge } from "../study/study";

describe("strain taken apart", () => {
  it("by hand comes to that of the passage", () => {
    const notes = [64, 67, 72, 76, 79].flatMap((key, i) => [
      note(`r${i}`, key, `${i}/2`, "1/2"),
      ...(i % 3 === 0 ? [note(`c${i}`, key + 7, `${i}/2`, "1/2")] : []),
      ...(i % 2 === 0 ? [note(`l${i}`, key - 24, `${i}/2`, "1", { staff: 2 })] : []),
    ]);
    const study = studyOn(passage(notes, "both", 2));
    const judged = judge(study, bestFingerings(study, {}, 1)[0]!);
    const { hands } = partsOf(study, judged);
    expect(hands.map((h) => h.side)).toEqual(["right", "left"]);
    const count = hands.reduce((sum, h) => sum + h.onsets, 0);
    expect(hands.reduce((sum, h) => sum + h.strain * h.onsets, 0) / count).toBeCloseTo(judged.strain, 9);
  });

  it("by join is that of the notes struck there", () => {
    const study = studyOfKeys([60, 62, 64, 65, 67]);
    const judged = judge(study, fingered(study, "12312"));
    const [first, second] = partsOf(study, judged).joins;
    expect(first).toMatchObject({ join: null, strain: 0 });
    expect(second!.join!.kind).toBe("thumb pass");
    expect(second!.strain).toBeCloseTo(judged.notes[second!.notes[0]!]!.strain, 9);
  });
});
