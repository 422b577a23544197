import { fingered, studyOfKeys } from "../../../tests/support/studies";
import { day, dayAfter, daysBetween } from "../time/days";
import { deadlineFor } from "./deadline";
import { LEARNING } from "../physics";
import { learningPrice } from "./learning-price";
import { inTheFingers, isDue, standingOf, type VerdictEvent } from "./standing";
import { trialPlan } from "./trial-plan";

const TODAY = day("2026-11-25");

describe("days", () => {
  it("are counted over months and years, and refused where there are none", () => {
    expect(dayAfter(day("2026-12-31"), 1)).toBe("2027-01-01");
    expect(dayAfter(day("2028-03-01"), -1)).toBe("2028-02-29");
    expect(daysBetween(TODAY, day("2027-03-12"))).toBe(107);
    expect(() => day("2026-02-30")).toThrow("is not a day");
    expect(() => day("soon")).toThrow("is not a day");
  });
});

describe("the deadline for a verdict", () => {
  it.each([
    [107, 10],
    [40, 4],
    [5, 2],
    [2, 1],
    [1, 0],
  ])("with %i days left comes in %i", (left, days) => {
    expect(daysBetween(TODAY, deadlineFor(TODAY, dayAfter(TODAY, left)))).toBe(days);
  });

  it("comes in a week where no concert is to come", () => {
    expect(deadlineFor(TODAY, null)).toBe("2026-12-02");
    expect(deadlineFor(TODAY, day("2026-11-01"))).toBe("2026-12-02");
  });
});

describe("the trial plan", () => {
  it("tries every option before the deadline and all on the last day, fast ones included", () => {
    for (const options of [
      ["A", "B"],
      ["A", "B", "C"],
      ["A", "B", "C", "D"],
    ]) {
      for (const days of [0, 1, 2, 5, 9]) {
        const plan = trialPlan(TODAY, dayAfter(TODAY, days), options, 120);
        expect(plan.map((p) => p.day)).toEqual(Array.from({ length: days + 1 }, (_, i) => dayAfter(TODAY, i)));
        expect([...plan.at(-1)!.options].sort()).toEqual(options);
        if (days > 0) expect(new Set(plan.slice(0, -1).flatMap((p) => p.options))).toEqual(new Set(options));
        for (const { attempts } of plan) expect(Math.max(...attempts.map((a) => a.tempo))).toBeGreaterThanOrEqual(120);
        expect(plan.filter((p) => p.attempts.some((a) => a.kind === "whole"))).toHaveLength(1);
      }
    }
  });

  it("is empty without options, and has the deadline's own day when that is past", () => {
    expect(trialPlan(TODAY, dayAfter(TODAY, 3), [], 120)).toEqual([]);
    expect(trialPlan(TODAY, dayAfter(TODAY, -3), ["A", "B"], 120)).toHaveLength(1);
  });
});

describe("the price of learning", () => {
  const study = studyOfKeys([60, 62, 64, 65, 67, 69, 71, 72]);
  const usual = fingered(study, "12312345");
  const other = fingered(study, "12341234");
  const concert = day("2027-03-12");

  it("is nothing for what is in the fingers already", () => {
    expect(learningPrice(study, usual, usual, TODAY, concert)).toMatchObject({ digits: 0, newJoins: 0, days: 0 });
  });

  it("counts new fingers and new joins, and more where old habits are in the way", () => {
    const changed = learningPrice(study, usual, other, TODAY, concert);
    expect(changed).toMatchObject({ notes: 8, digits: 5, joins: 1, newJoins: 1, unlearns: true });
    const effort = LEARNING.any + 5 * LEARNING.digit + LEARNING.join;
    expect(changed.days).toBe(Math.ceil(effort * LEARNING.unlearning));
    expect(learningPrice(study, null, other, TODAY, concert)).toMatchObject({ digits: 8, unlearns: false });
  });

  it("says the last day for a change, twice the days before the concert, and when that is past", () => {
    const { days, lastDay, tooLate } = learningPrice(study, usual, other, TODAY, concert);
    expect(daysBetween(lastDay!, concert)).toBe(2 * days);
    expect(tooLate).toBe(false);
    expect(learningPrice(study, usual, other, dayAfter(lastDay!, 1), concert).tooLate).toBe(true);
    expect(learningPrice(study, usual, other, TODAY, null)).toMatchObject({ lastDay: null, tooLate: false });
  });
});

describe("how a passage stands", () => {
  const event = (kind: VerdictEvent["kind"], on: string, more: Partial<VerdictEvent> = {}): VerdictEvent => ({
    kind,
    on: day(on),
    fingeringId: null,
    decideOn: null,
    reviewAfter: null,
    ...more,
  });
  const undecided = event("undecided", "2026-11-20", { decideOn: day("2026-11-27") });
  const taken = event("taken", "2026-11-22", { fingeringId: "a", reviewAfter: 3 });

  it("is open until something is said, then undecided until one is taken", () => {
    expect(standingOf([], [], TODAY)).toEqual({ state: "open" });
    const open = { state: "undecided", since: undecided.on, decideOn: "2026-11-27", daysLeft: 2 };
    expect(standingOf([undecided], [], TODAY)).toEqual(open);
    const moved = { ...undecided, decideOn: day("2026-12-04"), on: day("2026-11-25") };
    expect(standingOf([undecided, moved], [], TODAY)).toMatchObject({ since: undecided.on, decideOn: "2026-12-04" });
    expect(isDue(standingOf([undecided], [], TODAY))).toBe(false);
    expect(isDue(standingOf([undecided], [], day("2026-11-27")))).toBe(true);
    expect(standingOf([undecided, taken], [], TODAY)).toMatchObject({ state: "taken", fingeringId: "a", reviewIn: 3 });
    expect(standingOf([undecided, taken, event("reopened", "2026-11-23")], [], TODAY)).toEqual({ state: "open" });
  });

  it("is due for review after so many days of practice, each counted once", () => {
    const practised = ["2026-11-20", "2026-11-22", "2026-11-23", "2026-11-23", "2026-11-24"].map(day);
    expect(standingOf([taken], practised.slice(0, 4), TODAY)).toMatchObject({ practised: 2, reviewIn: 1 });
    const due = standingOf([taken], practised, TODAY);
    expect(due).toMatchObject({ practised: 3, reviewIn: 0 });
    expect(isDue(due)).toBe(true);
    const reviewed = event("reviewed", "2026-11-24", { reviewAfter: 2 });
    expect(standingOf([taken, reviewed], practised, TODAY)).toMatchObject({
      fingeringId: "a",
      practised: 0,
      reviewIn: 2,
    });
  });

  it("knows what is in the fingers: what was taken or named last", () => {
    expect(inTheFingers([undecided])).toBeNull();
    expect(inTheFingers([taken, event("known", "2026-11-23", { fingeringId: "b" })])).toBe("b");
    expect(inTheFingers([event("known", "2026-11-20", { fingeringId: null })])).toBeNull();
  });
});
