import { carriedTo } from "../travel";
import { whiteWidth } from "../../../keyboard/geometry";
import { KEYBOARD } from "../../../physics";
import type { Cause } from "../cause";
import { carryTime } from "../fitts";
import { ms } from "../words";

/** Time for carrying the hand that the music does not leave. */
export const shortfall: Cause = {
  id: "shortfall",
  label: "time short",
  unit: "ms",
  frames: 2,
  source: "Fitts' law over the mm that the hand must be carried; straight weight, a choice.",
  find(moment, tell) {
    const { now, before, weights, instrument, hand } = moment;
    const first = now.struck[0];
    if (before === null || first === undefined || before.struck.length === 0 || now.onset.swept) return;
    const width = first.black ? KEYBOARD.blackTopWidth : whiteWidth(instrument);
    const short = carryTime(carriedTo(moment), width, hand.movement) - now.onset.gap;
    if (short > 0) tell(first.stroke, short, short * weights.shortfall, first, before.struck[0] ?? null);
  },
  spared: () => "there is time to get there",
  say: ({ amount }) => `too fast for this move, by ${ms(amount)}`,
};
