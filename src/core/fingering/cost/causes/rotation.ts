import { MOTION } from "../../../physics";
import type { Cause } from "../cause";
import { rockingRate } from "../rocking";
import { hz } from "../words";

/** The forearm rocking to and fro faster than is easy. */
export const rotation: Cause = {
  id: "rotation",
  label: "rotation",
  unit: "Hz",
  frames: 3,
  source: "Full cycles a second of a change of direction, eased up to 3 Hz; straight weight, a choice.",
  find({ now, before, earlier, weights }, tell) {
    if (earlier === null || before === null) return;
    const [from, through, to] = [earlier.struck[0], before.struck[0], now.struck[0]];
    if (!from || !through || !to) return;
    const rate = rockingRate(earlier, before, now);
    const reach = Math.min(Math.abs(through.finger - from.finger), Math.abs(to.finger - through.finger));
    if (rate > MOTION.rotationEase)
      tell(to.stroke, rate, ((rate - MOTION.rotationEase) * weights.rotation * reach) / 4, to, through);
  },
  spared: () => "the forearm need not turn to and fro",
  say: ({ amount }) => `the forearm turns to and fro ${hz(amount)}`,
};
