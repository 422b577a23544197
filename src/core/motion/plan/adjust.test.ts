import { randomPassage } from "../../../../tests/support/passages";
import { seeded } from "../../../../tests/support/seeded";
import { fingered, studyOfKeys, studyOn } from "../../../../tests/support/studies";
import { bestFingerings, type Study } from "../../fingering/study/study";
import { adjustmentsAt } from "./adjust";
import type { HandPlan } from "./hand-plan";
import { planOf } from "./plan";

const handOf = (study: Study, digits: string): HandPlan => planOf(study, fingered(study, digits)).hands[0]!;

describe("adjustments", () => {
  it("are within the limits of the hand, most helpful first, and undo one another's way", () => {
    const study = studyOfKeys([[58, 62, 65, 70]], "right");
    const plan = handOf(study, "1235");
    const found = adjustmentsAt(plan, 0, plan.clearances[0] ?? null);
    expect(found.length).toBeGreaterThan(0);
    const worth = found.map((a) => a.strain + a.clearance);
    expect([...worth].sort((a, b) => b - a)).toEqual(worth);
    for (const { strain } of found) expect(Number.isFinite(strain)).toBe(true);
  });

  it("gain what they gain with the whole way solved anew", () => {
    const random = seeded(29);
    let compared = 0;
    for (let trial = 0; trial < 6; trial++) {
      const study = studyOn(randomPassage(random, 20, random.pick(["right", "left"])), {
        tempo: random.pick([80, 160]),
      });
      const [plan] = planOf(study, bestFingerings(study, {}, 1)[0]!).hands;
      for (let at = 0; at < plan!.frames.length; at += 3) {
        const whole = new Map(adjustmentsAt(plan!, at, null, Infinity).map(({ id, strain }) => [id, strain]));
        for (const { id, strain } of adjustmentsAt(plan!, at, null)) {
          compared++;
          expect(Math.abs(strain - (whole.get(id) ?? 0))).toBeLessThan(0.1);
        }
      }
    }
    expect(compared).toBeGreaterThan(40);
  });

  it("count what they cost at the onsets beside, and gain nothing where the hand already lies at ease", () => {
    const five = handOf(studyOfKeys([60, 62, 64, 65, 67], "right", { tempo: 100 }), "12345");
    five.frames.forEach((_, at) => {
      for (const { strain } of adjustmentsAt(five, at, null)) expect(strain).toBeLessThan(0.5);
    });
    // Carried aside for one onset the hand is away from the others: with them it costs more than by itself.
    const chord = studyOfKeys([[60, 64, 67]], "right", { tempo: 100 });
    const chords = studyOfKeys(
      [
        [60, 64, 67],
        [60, 64, 67],
        [60, 64, 67],
      ],
      "right",
      { tempo: 100 },
    );
    const carried = (study: Study, digits: string, at: number) =>
      adjustmentsAt(handOf(study, digits), at, null).find(({ id }) => id === "outwards")?.strain ?? 0;
    expect(carried(chords, "135135135", 1)).toBeLessThanOrEqual(carried(chord, "135", 0));
  });
});
