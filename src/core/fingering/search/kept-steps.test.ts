import { seeded } from "../../../../tests/support/seeded";
import { studyOfKeys } from "../../../../tests/support/studies";
import { handOfRulerSpan } from "../../hand/hand";
import { bestFingerings, tasksOf, type Study } from "../study/study";
import { stepsKeptOf } from "./kept-steps";

const random = seeded(31);

/** A line that walks, leaps, repeats and strikes chords, so that figures come again in other passages. */
function keys(): (number | number[])[] {
  let key = 60;
  return Array.from({ length: random.whole(2, 40) }, () => {
    key = Math.min(84, Math.max(48, key + random.whole(-5, 5)));
    return random.chance(0.1) ? [key, key + 4] : key;
  });
}

function freshHands(): Study["hands"] {
  return { right: handOfRulerSpan("right", 205), left: handOfRulerSpan("left", 205) };
}

describe("steps kept of a hand", () => {
  it("lead every later search to what it finds by itself", () => {
    const hands = freshHands();
    for (let n = 0; n < 60; n++) {
      const manner = { tempo: random.pick([60, 96, 144]), touch: random.pick(["legato", "detached"] as const) };
      const study = studyOfKeys(keys(), random.pick(["right", "left"] as const), manner);
      const k = random.pick([1, 4]);
      const alone = bestFingerings({ ...study, hands: freshHands() }, {}, k);
      expect(bestFingerings({ ...study, hands }, {}, k)).toEqual(alone);
    }
  });

  it("are one hand's in one manner and by one set of weights", () => {
    const study = { ...studyOfKeys([60, 62]), hands: freshHands() };
    const kept = (other: Study) => stepsKeptOf(tasksOf(other)[0]!);
    expect(kept({ ...study, passage: studyOfKeys([70, 64]).passage })).toBe(kept(study));
    expect(kept({ ...study, manner: { ...study.manner, tempo: 61 } })).not.toBe(kept(study));
    expect(kept({ ...study, own: { carry: 2 } })).not.toBe(kept(study));
    expect(kept({ ...study, hands: freshHands() })).not.toBe(kept(study));
  });
});
