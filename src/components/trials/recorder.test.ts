import { studyOfKeys } from "../../../tests/support/studies";
import { pitch } from "@/core/keyboard/pitch";
import { expectedOf } from "@/core/trials/expected";
import { Recorder } from "./recorder";

const recorder = () => new Recorder(expectedOf(studyOfKeys([60, 62, 64, 65])));

/** Strikes keys one after another, each for 100 ms, by a device whose clock stands elsewhere than the page's. */
function strike(on: Recorder, keys: readonly number[], from = 0): number {
  let now = from;
  for (const key of keys) {
    on.move({ key: pitch(key), down: true, ms: 5000 + now, velocity: 70 }, now);
    now += 100;
    on.move({ key: pitch(key), down: false, ms: 5000 + now, velocity: 0 }, now);
  }
  return now;
}

describe("the recorder of a take", () => {
  it("keeps keys, velocities and the pedal by the device's clock, from the first of them on", () => {
    const on = recorder();
    on.press({ ms: 4990, value: 88 });
    strike(on, [60, 62]);
    expect(on.take()).toEqual({
      keys: [
        { key: 60, downMs: 10, upMs: 110, velocity: 70 },
        { key: 62, downMs: 110, upMs: 210, velocity: 70 },
      ],
      pedal: [{ ms: 0, value: 88 }],
    });
  });

  it("waits for the first key, is over soon after the last note, and else after two seconds of silence", () => {
    const on = recorder();
    expect(on.isOver(60_000)).toBe(false);
    const early = strike(on, [60, 62]);
    expect(on.isOver(early + 1900)).toBe(false);
    expect(on.isOver(early + 2100)).toBe(true);
    const late = strike(on, [64, 65], early);
    expect(on.isOver(late + 100)).toBe(false);
    expect(on.isOver(late + 300)).toBe(true);
  });

  it("is not over while a key is down, and keeps one that never came up", () => {
    const on = recorder();
    on.move({ key: pitch(60), down: true, ms: 0, velocity: 50 }, 0);
    expect(on.isOver(9000)).toBe(false);
    expect(on.take().keys).toEqual([{ key: 60, downMs: 0, upMs: null, velocity: 50 }]);
  });
});
