import { rockingRate } from "../fingering/cost/rocking";
import type { Merit, MeritFound } from "./merit";

/** The fastest turning of the forearm to and fro, in full cycles a second. */
export const rotationRate: Merit = {
  id: "rotation-rate",
  label: "Forearm to and fro",
  better: "less",
  find({ hands }) {
    let found: MeritFound = { amount: 0, where: null };
    for (const { frames } of hands)
      frames.forEach((now, i) => {
        const rate = i < 2 ? 0 : rockingRate(frames[i - 2]!, frames[i - 1]!, now);
        if (rate > found.amount) found = { amount: rate, where: now.struck[0]!.stroke.notes[0]! };
      });
    return found;
  },
  say: (amount) => (amount === 0 ? "none" : `${amount.toFixed(1)} a second`),
};
