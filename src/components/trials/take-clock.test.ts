import { stepsOf } from "@/core/fingering/study/steps";
import { studyOfKeys } from "../../../tests/support/studies";
import { momentOf } from "./take-clock";

const steps = stepsOf(studyOfKeys([60, 62, 64]));
const times = [0, 1, 2];
const struck = (...ms: readonly number[]) => ms.map((at, i) => ({ note: steps[i]!.notes[0]!, ms: at }));

test("the music stands where it was struck, and between two onsets between them", () => {
  const at = momentOf(struck(100, 700, 1700), steps, times);
  expect([100, 400, 700, 1200].map(at)).toEqual([0, 0.5, 1, 1.5]);
  expect(at(50)).toBeNull();
  expect(at(9000)).toBe(2);
});

test("of nothing that was heard it stands nowhere", () => {
  expect(momentOf([], steps, times)(10)).toBeNull();
});
