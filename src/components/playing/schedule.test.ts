import type { Sound } from "@/core/fingering/study/sounding";
import { pitch } from "@/core/keyboard/pitch";
import { metreFrom, type PassageBar } from "@/core/passage/metre";
import { beats } from "@/core/time/beats";
import { beatsOf, placeWithin, scheduleOf, stepAt } from "./schedule";

const sound = (at: number, key: number, length = 1): Sound => ({ notes: [], key: pitch(key), at, length, load: 0.5 });
const SOUNDS = [sound(0, 60), sound(1, 62), sound(2, 64, 4), sound(3, 65)];
const bar = (start: string, time: readonly [number, number], from = "0"): PassageBar => {
  return { number: "1", start: beats(start), from: beats(from), metre: metreFrom([time[0]], time[1]) };
};
const TWO = metreFrom([2], 4);
const BEATS = beatsOf([bar("0", [2, 4]), bar("2", [2, 4])], 0, 4);
const ALL = { from: 0, to: 4, loop: false, countIn: false, click: false };

describe("what is heard when", () => {
  it("is every key at its place, cut where playing ends", () => {
    const { events, start, end } = scheduleOf(SOUNDS, BEATS, TWO, ALL);
    expect(events.map((e) => e.kind === "key" && [e.at, e.key, e.length])).toEqual([
      [0, 60, 1],
      [1, 62, 1],
      [2, 64, 2],
      [3, 65, 1],
    ]);
    expect([start, end]).toEqual([0, 4]);
  });

  it("counts a bar in before the music, wherever it begins", () => {
    const { events, start } = scheduleOf(SOUNDS, BEATS, TWO, { ...ALL, from: 2, countIn: true });
    expect(start).toBe(2);
    expect(events.map((e) => [e.kind, e.at])).toEqual([
      ["click", 0],
      ["click", 1],
      ["key", 2],
      ["key", 3],
    ]);
  });

  it("clicks on every beat, stronger where a bar begins", () => {
    const { events } = scheduleOf([], BEATS, TWO, { ...ALL, click: true });
    expect(events).toEqual([
      { kind: "click", at: 0, strong: true },
      { kind: "click", at: 1, strong: false },
      { kind: "click", at: 2, strong: true },
      { kind: "click", at: 3, strong: false },
    ]);
  });

  it("counts uneven bars as they go, and a pick-up to its end", () => {
    const bars = [bar("0", [5, 8], "2"), bar("1/2", [5, 8])];
    expect(beatsOf(bars, 0, 3)).toEqual([
      { at: 0.5, strong: true },
      { at: 2, strong: false },
    ]);
    expect(scheduleOf([], [], bars[1]!.metre, { ...ALL, countIn: true }).events.map((e) => e.at)).toEqual([0, 1.5]);
  });

  it("has no beat before a passage that begins within a bar", () => {
    expect(beatsOf([bar("6", [6, 8])], 7.5, 12)).toEqual([
      { at: 0, strong: false },
      { at: 1.5, strong: true },
      { at: 3, strong: false },
    ]);
  });

  it("knows the step that a moment belongs to", () => {
    expect([-1, 0, 0.9, 1, 5].map((moment) => stepAt([0, 1, 2], moment))).toEqual([0, 0, 0, 1, 2]);
  });

  it("never stands past the end of what is played, however late the clock turns back", () => {
    const played = { start: 1, end: 3 };
    const places = (loop: boolean) => [0.5, 2.9, 3, 3.25, 7.5].map((at) => placeWithin(played, at, loop));
    expect(places(true)).toEqual([0.5, 2.9, 1, 1.25, 1.5]);
    expect(places(false).every((at) => at < 3)).toBe(true);
    expect(stepAt([0, 1, 3], placeWithin(played, 3.25, false))).toBe(1);
  });
});
