import { MOTION } from "../../../physics";
import type { Cause } from "../cause";
import { mmBetween } from "../pairs";
import { rockingRate } from "../rocking";
import { hz } from "../words";

/** The forearm rocking to and fro faster than is easy. */
export const rotation: Cause = {
  id: "rotation",
  label: "rotation",
  unit: "Hz",
  frames: 3,
  source:
    "Full cycles a second of a change of direction, eased up to what this player turns with ease, 3 Hz where that is not measured, between keys so far apart that the forearm and not the fingers turns; straight weight, a choice.",
  find({ now, before, earlier, weights, hand }, tell) {
    if (earlier === null || before === null) return;
    const rate = rockingRate(earlier, before, now);
    const fast = rate - hand.rotation.ease;
    if (fast <= 0) return;
    const through = before.struck[0]!;
    const to = now.struck[0]!;
    const mm = Math.min(Math.abs(mmBetween(earlier.struck[0]!, through)), Math.abs(mmBetween(through, to)));
    const [least, most] = MOTION.forearmFrom;
    const share = Math.min(1, Math.max(0, (mm - least) / (most - least)));
    if (share > 0) tell(to.stroke, rate, fast * share * weights.rotation, to, through);
  },
  spared: () => "the forearm need not turn to and fro",
  say: ({ amount }) => `the forearm turns to and fro ${hz(amount)}`,
};
