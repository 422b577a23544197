import { fingered, studyOfKeys } from "../../../../tests/support/studies";
import { handAt } from "./moment";
import { planOf } from "./plan";

const study = studyOfKeys([60, 62, 64, 72], "right", { tempo: 60 });
const [plan] = planOf(study, fingered(study, "1235")).hands;

describe("the hand at a moment", () => {
  it("has each finger on its key when it strikes, and goes on without a jump in between", () => {
    for (const frame of plan!.frames) {
      const { pose, fingers } = handAt(plan!, frame.ms)!;
      for (const { finger, at } of frame.tips) {
        const drawn = pose.fingers.find((f) => f.finger === finger)!;
        expect(drawn.playing).toBe(true);
        expect(drawn.tip).toEqual(at);
      }
      expect(fingers[frame.frame.struck[0]!.finger]).toBe("active");
    }
    let before = handAt(plan!, 0)!.pose.wrist;
    for (let ms = 2; ms < 900; ms += 2) {
      const { wrist } = handAt(plan!, ms)!.pose;
      expect(Math.hypot(wrist.x - before.x, wrist.y - before.y)).toBeLessThan(4);
      before = wrist;
    }
  });

  it("comes to a key in the time before it, and says what is loose and when it may close", () => {
    const [just, long] = [handAt(plan!, 748)!, handAt(plan!, 600)!];
    const tip = plan!.frames[3]!.tips[0]!.at;
    const away = (m: typeof just) => Math.abs(m.pose.fingers[4]!.tip.x - tip.x);
    expect(away(just)).toBeLessThan(3);
    expect(away(long)).toBeGreaterThan(20);
    expect(just.fingers[4]).toBe("loose");
    const detached = studyOfKeys([60, 62], "right", { tempo: 30, touch: "detached" });
    const [loose] = planOf(detached, fingered(detached, "12")).hands;
    expect(handAt(loose!, 10)!.mayClose).toBe(false);
    expect(handAt(loose!, 300)!.mayClose).toBe(true);
    expect(handAt(loose!, 300)!.fingers[1]).toBe("loose");
  });

  it("draws no finger out over a leap: it goes with the hand, however its note is bound", () => {
    const leaps = studyOfKeys([60, 84, 64, 88], "right", { tempo: 100 });
    const [leaping] = planOf(leaps, fingered(leaps, "1515")).hands;
    const last = leaping!.frames.at(-1)!.ms;
    for (let ms = 0; ms < last; ms += 5) {
      const x = handAt(leaping!, ms)!.pose.fingers.map(({ tip }) => tip.x);
      expect(Math.max(...x) - Math.min(...x)).toBeLessThan(leaping!.hand.keySpan + 60);
    }
  });

  it("is null for a hand without anything to play", () => {
    expect(handAt({ ...plan!, frames: [] }, 0)).toBeNull();
  });
});
