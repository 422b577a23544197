import { note, passage } from "../../../../tests/support/passages";
import { studyOn } from "../../../../tests/support/studies";
import { soundsOf, stepTimes } from "./sounding";
import { stepsOf } from "./steps";

describe("a passage as it sounds", () => {
  const notes = [
    note("a", 60, "8", "1"),
    note("b", 64, "8", "2"),
    note("c", 62, "9", "1"),
    note("l", 40, "17/2", "1/2", { staff: 2 }),
  ];

  it("begins with its first note, both hands in order, in quarter notes at any tempo", () => {
    for (const tempo of [40, 160]) {
      const sounds = soundsOf(studyOn(passage(notes, "both", 2), { tempo }));
      expect(sounds.map(({ key, at, length }) => [key, round(at), round(length)])).toEqual([
        [60, 0, 1],
        [64, 0, 2],
        [40, 0.5, 0.5],
        [62, 1, 1],
      ]);
    }
  });

  it("puts grace notes before the note they lean on and lets them sound", () => {
    const graced = [note("a", 60, "0", "1"), note("g", 65, "1", "0", { grace: -1 }), note("b", 64, "1", "1")];
    const [, grace, after] = soundsOf(studyOn(passage(graced)));
    expect(grace!.at).toBeLessThan(after!.at);
    expect(grace!.length).toBeGreaterThan(0);
  });

  it("tells when each step is struck, both hands together", () => {
    const study = studyOn(passage(notes, "both", 2));
    expect(stepTimes(soundsOf(study), stepsOf(study)).map(round)).toEqual([0, 0.5, 1]);
  });

  it("is silent where nothing is to be played", () => {
    expect(soundsOf(studyOn(passage([])))).toEqual([]);
  });
});

function round(value: number): number {
  return Math.round(value * 1000) / 1000;
}
