import type { Cause } from "../cause";
import { boundShare } from "../join";
import { fingers, mm } from "../words";

/** Fingers crossing one another without the thumb. */
export const crossing: Cause = {
  id: "crossing",
  label: "crossing",
  unit: "mm",
  frames: 2,
  source: "A choice: long fingers cross only where nothing else serves.",
  find(moment, tell) {
    const { now, before, weights, carried } = moment;
    if (before === null || carried || now.struck.length === 0) return;
    const pairs = 1 / (Math.max(1, before.struck.length) * Math.max(1, now.struck.length));
    for (const from of before.struck) {
      if (from.finger === 1) continue;
      const share = pairs * boundShare(from, moment);
      for (const to of now.struck) {
        if (to.finger === 1 || to.finger === from.finger) continue;
        const crossed = from.finger < to.finger ? from.x - to.x : to.x - from.x;
        if (crossed > 0 && share > 0) tell(to.stroke, crossed, share * weights.crossing, to, from);
      }
    }
  },
  spared: () => "no fingers cross",
  say: ({ amount, finger, other }) => `${fingers(other, finger)} cross by ${mm(amount)}`,
};
