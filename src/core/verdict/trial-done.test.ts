import { day } from "../time/days";
import { doneOn, type TakeOfTrial } from "./trial-done";
import { trialPlan } from "./trial-plan";

const TODAY = day("2026-03-02");
const [first] = trialPlan(TODAY, day("2026-03-08"), ["A", "B", "C"], 100);
const take = (more: Partial<TakeOfTrial>): TakeOfTrial => ({
  ...{ option: first!.options[0]!, day: TODAY, tempo: 50, isSnip: false, clean: true },
  ...more,
});
const done = (...takes: readonly TakeOfTrial[]) =>
  Object.fromEntries(doneOn(first!, takes).map((one, i) => [first!.attempts[i]!.kind, one]));

test("a take counts for the attempt of its kind and tempo, on its day and for its options", () => {
  expect(done(take({}), take({ tempo: 54, clean: false }))["slow"]).toEqual({ options: 1, of: 1, takes: 2, clean: 1 });
  expect(done(take({ tempo: 62 }))["slow"]!.takes).toBe(0);
  expect(done(take({ tempo: 100, isSnip: true }))["snips"]!.takes).toBe(1);
  expect(done(take({ tempo: 100 }))["snips"]!.takes).toBe(0);
  expect(done(take({ day: day("2026-03-03") }))["slow"]!.takes).toBe(0);
  expect(done(take({ option: "Z" }))["slow"]!.takes).toBe(0);
});
