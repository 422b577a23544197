import type { Hand } from "../../../hand/hand";
import type { Frame, Press } from "../../frames/frame";
import type { Cause } from "../cause";
import { mmBetween } from "../pairs";
import { fingerOnKey, mm } from "../words";

/** A note that should be held on but has to be let go. */
export const heldNote: Cause = {
  id: "held-note",
  label: "held note let go",
  unit: "mm",
  frames: 2,
  source:
    "A choice: its line breaks there as where a finger hops, and each quarter note for which it is lost weighs more than a strained chord; less when the pedal may keep it, for then no line breaks.",
  find({ now, weights, manner, hand }, tell) {
    const broken = manner.pedal ? 0 : weights.lineBroken;
    const aQuarter = manner.pedal ? weights.heldLostPedal : weights.heldLost;
    for (const { press, short } of now.letGo) {
      const { ms, soundsMs } = press.stroke;
      const lost = (Math.max(0, ms + soundsMs - now.onset.ms) * manner.tempo) / 60_000;
      const strain = broken + aQuarter * lost + beyondHand(hand, press, now) * weights.heldPerMm;
      tell(press.stroke, short, strain, press, null);
    }
  },
  spared: () => "the held note can be held",
  say: ({ amount, finger }) =>
    amount > 0
      ? `the ${fingerOnKey(finger!)} must let go, ${mm(amount)} short`
      : `the ${fingerOnKey(finger!)} must let go to play another note`,
};

/** mm by which a key lies farther from those that are played than the hand opens, whichever fingers play them. */
function beyondHand(hand: Hand, held: Press, { struck }: Frame): number {
  let farthest = 0;
  for (const press of struck) farthest = Math.max(farthest, Math.abs(mmBetween(held, press)));
  return Math.max(0, farthest - hand.keySpan);
}
