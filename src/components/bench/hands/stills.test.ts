import { stepsOf } from "@/core/fingering/study/steps";
import { note, passage } from "../../../../tests/support/passages";
import { fingered, studyOn } from "../../../../tests/support/studies";
import { stillsOf } from "./stills";

const study = studyOn(
  passage(
    [note("a", 60, "0", "1"), note("b", 72, "0", "1"), note("l", 48, "1", "1", { staff: 2 }), note("c", 64, "2", "1")],
    "both",
    2,
  ),
);
const stills = stillsOf(study, stepsOf(study), fingered(study, "1533"));

describe("the hands step by step", () => {
  it("stand on the keys they play, and tell the opening nearest its limit", () => {
    expect([...stills[0]!.right!.striking]).toEqual([1, 5]);
    expect(stills[0]!.right!.opening!.mm).toBeGreaterThan(100);
    expect(stills[0]!.right!.opening!.limit).toBeGreaterThan(stills[0]!.right!.opening!.mm);
  });

  it("stay, loose, where they were while they play nothing", () => {
    const loose = stills[1]!.right!;
    expect(loose.striking.size).toBe(0);
    expect(loose.opening).toBeNull();
    expect(loose.pose.wrist).toEqual(stills[0]!.right!.pose.wrist);
    expect(loose.pose.fingers.some((f) => f.playing)).toBe(false);
  });

  it("wait, before their first note, where it will be struck", () => {
    expect(stills[0]!.left!.pose.wrist).toEqual(stills[1]!.left!.pose.wrist);
    expect(stills[0]!.left!.striking.size).toBe(0);
  });
});
