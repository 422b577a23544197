import { fingerName } from "../../../hand/finger";
import type { Cause } from "../cause";
import type { Press } from "../../frames/frame";
import { fingerOnKey, mm } from "../words";

/** Thumb or little finger on a black key, more so when the hand comes from or goes to a white one. */
export const outerOnBlack: Cause = {
  id: "outer-on-black",
  label: "thumb or little finger on black",
  unit: "mm",
  frames: 2,
  source:
    "The black-key rules of the ergonomic model cited in hand/proportions; the mm are how far the hand is drawn in.",
  find({ now, before, weights, hand }, tell) {
    const fromWhite = before !== null && before.struck.some((p) => !p.black);
    for (const at of now.struck) {
      if (!drawsIn(at)) continue;
      const base = at.finger === 1 ? weights.thumbOnBlack : weights.littleOnBlack;
      const strain = base + (fromWhite ? weights.blackBesideWhite : 0);
      tell(at.stroke, hand.behind[at.finger - 1] as number, strain, at, null);
    }
    const white = now.struck.find((p) => !p.black);
    if (before === null || white === undefined) return;
    for (const at of before.struck) {
      if (drawsIn(at)) tell(white.stroke, hand.behind[at.finger - 1] as number, weights.blackBesideWhite, at, null);
    }
  },
  spared: ({ finger }) => `the ${fingerName(finger!.finger)} stays on white`,
  say: ({ amount, finger }) => `${fingerOnKey(finger!)} draws the hand in by ${mm(amount)}`,
};

function drawsIn(at: Press): boolean {
  return at.black && (at.finger === 1 || at.finger === 5);
}
