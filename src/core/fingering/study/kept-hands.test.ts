import { keptHandsOf } from "./kept-hands";

const hand = (rulerSpan: number) => ({ measured: { rulerSpan }, resting: [] });
const given = (right: number) => ({ right: hand(right), left: hand(200) });

describe("hands kept", () => {
  it("are the same ones for the same data", () => {
    expect(keptHandsOf(given(201), 165, 1)).toBe(keptHandsOf(given(201), 165, 1));
    const { hands, placements, instrument } = keptHandsOf(given(201), 165, 1.2);
    expect(placements.right.hand).toBe(hands.right);
    expect(placements.left.instrument).toBe(instrument);
    expect(hands.left.movement).toBe(1.2);
  });

  it("are others for another hand, instrument or movement", () => {
    const one = keptHandsOf(given(201), 165, 1);
    for (const other of [
      keptHandsOf(given(202), 165, 1),
      keptHandsOf(given(201), 160, 1),
      keptHandsOf(given(201), 165, 2),
    ])
      expect(other).not.toBe(one);
  });

  it("give way to later ones", () => {
    const one = keptHandsOf(given(201), 165, 1);
    for (let span = 210; span < 220; span++) keptHandsOf(given(span), 165, 1);
    expect(keptHandsOf(given(201), 165, 1)).not.toBe(one);
  });

  it("refuse an octave that cannot be, and keep nothing of it", () => {
    for (let n = 0; n < 2; n++) expect(() => keptHandsOf(given(201), 20, 1)).toThrow(RangeError);
  });
});
