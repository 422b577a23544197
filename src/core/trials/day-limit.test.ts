import { limitOf, sayDay } from "./day-limit";

test("the player's own limit holds, and none where they set none", () => {
  expect(limitOf({ played: 5, own: 40, stoppedAt: null })).toBe(40);
  expect(limitOf({ played: 500, own: null, stoppedAt: null })).toBeNull();
});

test("stopping lowers it for the day, never raises it, and never asks for more than was played without one", () => {
  expect(limitOf({ played: 5, own: 40, stoppedAt: 5 })).toBe(20);
  expect(limitOf({ played: 30, own: 40, stoppedAt: 30 })).toBe(30);
  expect(limitOf({ played: 60, own: 40, stoppedAt: 60 })).toBe(40);
  expect(limitOf({ played: 12, own: null, stoppedAt: 12 })).toBe(12);
  for (const own of [null, 10, 60])
    for (const stoppedAt of [0, 5, 30]) {
      const lowered = limitOf({ played: stoppedAt, own, stoppedAt })!;
      expect(lowered).toBeLessThanOrEqual(own ?? stoppedAt);
    }
});

test("is said plainly", () => {
  expect(sayDay({ played: 1.2, own: null, stoppedAt: null })).toBe("1 minute of takes today.");
  expect(sayDay({ played: 41, own: 40, stoppedAt: null })).toContain("that is it for today");
  expect(sayDay({ played: 6, own: 40, stoppedAt: 6 })).toContain("the limit is 20 minutes");
});
