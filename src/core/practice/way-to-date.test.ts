import type { Day } from "../time/days";
import { dayAfter, weekdayOf } from "../time/days";
import { beginsAt, sensibleToday, wayToDate } from "./way-to-date";

const today = "2026-05-20" as Day;
const WEEK = [60, 60, 60, 60, 60, 0, 0];
const take = (tempo: number, clean: boolean, easy: boolean | null = null, ago = 0) => ({
  tempo,
  clean,
  easy,
  day: dayAfter(today, -ago),
});

describe("where a ladder begins", () => {
  it("is where it is clean and easy, and half the target until something was", () => {
    expect(beginsAt([], 120)).toBe(60);
    expect(beginsAt([take(100, true), take(80, true, true), take(110, false, true)], 120)).toBe(80);
    expect(beginsAt([take(140, true, true)], 120)).toBe(120);
  });
});

describe("how far today is sensible", () => {
  it("is a little under where it breaks, and not said before that is known", () => {
    expect(sensibleToday([take(80, true)])).toBeNull();
    const takes = [60, 70, 80, 90, 100, 110, 120, 130].map((tempo) => take(tempo, tempo < 95));
    expect(sensibleToday(takes)).toBeGreaterThan(85);
    expect(sensibleToday(takes)).toBeLessThan(100);
  });
});

describe("the way to a date", () => {
  const asked = { from: 80, target: 100, today, date: dayAfter(today, 28), week: WEEK };

  it("has a tempo for every day of practice, and none on a day that has no time", () => {
    const way = wayToDate([], asked)!;
    expect(way.on).toHaveLength(way.days.length);
    expect(way.on.every((day) => weekdayOf(day) < 5 && day >= today && day < asked.date)).toBe(true);
    expect(way).toMatchObject({ isOwnGain: false, reaches: true });
    expect(wayToDate([], { ...asked, date: today })).toBeNull();
    expect(wayToDate([], { ...asked, week: [0, 0, 0, 0, 0, 0, 0] })).toBeNull();
  });

  it("is honest by the player's own gain, and says what else there is", () => {
    // The tempo at which it breaks rises by about one a week.
    const takes = Array.from({ length: 12 }, (_, i) => i).flatMap((d) =>
      [60, 66, 72, 78, 84, 90, 96, 102].map((tempo) => take(tempo, tempo < 80 + d * 0.3, null, 24 - 2 * d)),
    );
    const way = wayToDate(takes, { ...asked, target: 140 })!;
    expect(way.isOwnGain).toBe(true);
    expect(way.reaches).toBe(false);
    expect(way.instead!.tempo).toBeLessThan(140);
    expect(way.instead!.days).toBeGreaterThan(way.on.length);
  });
});
