import { beats } from "@/core/time/beats";
import type { Fingering } from "@/core/fingering/study/fingering";
import { stepsOf } from "@/core/fingering/study/steps";
import { studyOfKeys, fingered } from "../../../tests/support/studies";
import { capital, stepText } from "./words";
import { placeText } from "@/core/passage/place";

describe("words for places", () => {
  it.each([
    ["0", "bar 3, beat 1"],
    ["3/4", "bar 3, beat 1¾"],
    ["4/3", "bar 3, beat 2⅓"],
    ["5/2", "bar 3, beat 3½"],
    ["1/16", "bar 3, beat 1.06"],
  ])("count beats from one: %s", (beat, words) => {
    expect(placeText("3", beats(beat))).toBe(words);
  });

  it("read out a step with its notes, hand and fingers", () => {
    const study = studyOfKeys([[60, 70]]);
    const [step] = stepsOf(study);
    expect(stepText(step!, study.passage, fingered(study, "14"))).toBe(
      "bar 1, beat 1: C 4, right hand, finger 1; B flat 4, right hand, finger 4",
    );
    expect(stepText(step!, study.passage, {} as Fingering)).toContain("no finger");
    expect(capital("bar 1")).toBe("Bar 1");
  });
});
