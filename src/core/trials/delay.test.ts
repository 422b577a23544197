import { delayOf, sayDelay } from "./delay";

const CLICKS = [0, 1000, 2000, 3000, 4000, 5000];

test("strokes all so much after their clicks are that much late, wherever the clock began", () => {
  expect(
    delayOf(
      CLICKS,
      CLICKS.map((at) => at + 38),
    ),
  ).toEqual({ ms: 38, spread: 0, strokes: 6 });
  const moved = delayOf(
    CLICKS.map((at) => at + 7e6),
    CLICKS.map((at) => at + 7e6 - 12),
  );
  expect(moved?.ms).toBeCloseTo(-12);
});

test("one stroke gone astray does not move the middle one", () => {
  const strokes = [20, 1020, 2020, 3400, 4020, 5020];
  expect(delayOf(CLICKS, strokes)?.ms).toBe(20);
});

test("few strokes tell nothing", () => {
  expect(delayOf(CLICKS, [10, 1010, 2010, 3010])).toBeNull();
  expect(delayOf([], [1, 2, 3, 4, 5, 6])).toBeNull();
});

test("is said with its side of the click", () => {
  expect(sayDelay({ ms: -12.4, spread: 3.2, strokes: 6 })).toBe(
    "Your strokes arrive 12 ms before the click, half of them within 3 ms of that.",
  );
  expect(sayDelay({ ms: 0.2, spread: 1, strokes: 6 })).toContain("on the click");
});
