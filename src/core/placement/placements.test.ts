import { seeded } from "../../../tests/support/seeded";
import { FINGERS } from "../hand/finger";
import { handOfRulerSpan } from "../hand/hand";
import { FULL_SIZE } from "../keyboard/instrument";
import { pitch } from "../keyboard/pitch";
import type { Hold } from "./placement";
import { placementsOf } from "./placements";
import { solvePlacement } from "./solve";

describe("answers kept", () => {
  it("are the solver's own, wherever on the keyboard they are asked for", () => {
    const random = seeded(41);
    let held = 0;
    for (const side of ["right", "left"] as const) {
      const hand = handOfRulerSpan(side, 200);
      const placements = placementsOf(hand, FULL_SIZE);
      for (let trial = 0; trial < 300; trial++) {
        const fingers = FINGERS.filter(() => random.chance(0.6));
        if (fingers.length === 0) continue;
        let key = random.whole(21, 80);
        const keys = fingers.map(() => pitch(Math.min(108, (key += random.whole(1, 6)))));
        const holds = fingers.map((finger, i): Hold => ({
          finger,
          key: (side === "right" ? keys : [...keys].reverse())[i]!,
        }));
        const [own, kept] = [solvePlacement(hand, FULL_SIZE, holds), placements.place(holds)];
        expect(kept.kind).toBe(own.kind);
        expect(placements.look(holds.slice(0, 1), holds.slice(1)).kind).toBe(own.kind);
        if (own.kind !== "held" || kept.kind !== "held") continue;
        held++;
        expect(kept.strain).toBeCloseTo(own.strain, 2);
        expect(kept.tips.map((t) => t.key)).toEqual(own.tips.map((t) => t.key));
        for (const [i, tip] of kept.tips.entries()) expect(tip.at.x).toBeCloseTo(own.tips[i]!.at.x, 1);
        expect(kept.wrist.at.y).toBeCloseTo(own.wrist.at.y, 3);
      }
    }
    expect(held).toBeGreaterThan(200);
  });

  it("tell the lowest keys from the highest: each end of the keyboard has its own open side", () => {
    const hand = handOfRulerSpan("right", 205);
    const holds = (low: number): readonly Hold[] => [
      { finger: 1, key: pitch(low) },
      { finger: 2, key: pitch(low + 3) },
    ];
    // From A to C at either end: alike in fingers, pitch classes and intervals.
    for (const [first, second] of [
      [21, 105],
      [105, 21],
    ] as const) {
      const kept = placementsOf(hand, FULL_SIZE);
      kept.place(holds(first));
      expect(kept.place(holds(second))).toEqual(placementsOf(hand, FULL_SIZE).place(holds(second)));
    }
  });

  it("are asked for once in twelve semitones", () => {
    const placements = placementsOf(handOfRulerSpan("right", 200), FULL_SIZE);
    const third = (key: number): Hold[] => [
      { finger: 1, key: pitch(key) },
      { finger: 3, key: pitch(key + 4) },
    ];
    for (let key = 30; key < 90; key++) placements.look(third(key));
    expect(placements.size()).toBe(12);
  });

  it("let the thumb lie on two neighbouring white keys, counted on the one nearer the other fingers", () => {
    for (const [side, inner, outer] of [
      ["right", 62, 60],
      ["left", 60, 62],
    ] as const) {
      const placements = placementsOf(handOfRulerSpan(side, 200), FULL_SIZE);
      const fifth: Hold = { finger: 5, key: pitch(side === "right" ? 67 : 55) };
      const thumb = (key: number): Hold => ({ finger: 1, key: pitch(key) });
      expect(placements.look([thumb(inner), thumb(outer), fifth])).toEqual(placements.look([thumb(inner), fifth]));
    }
  });

  it("count one finger on two keys as out of reach", () => {
    const placements = placementsOf(handOfRulerSpan("right", 200), FULL_SIZE);
    const both = (finger: Hold["finger"], ...keys: number[]): Hold[] =>
      keys.map((key) => ({ finger, key: pitch(key) }));
    for (const same of [both(2, 60, 62), both(1, 60, 64), both(1, 60, 61)])
      expect(placements.look(same).kind).toBe("out-of-reach");
    expect(placements.size()).toBe(0);
  });
});
