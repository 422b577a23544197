import { setsOut } from "../../../passage/line";
import { MOTION } from "../../../physics";
import type { Frame, Press } from "../../frames/frame";
import type { Cause } from "../cause";

/** A line that sets out from a white key towards the little finger, or comes back to one, with a finger other than the thumb. */
export const begunInside: Cause = {
  id: "begun-inside",
  label: "begun inside the hand",
  unit: "notes",
  frames: 3,
  source:
    "Fingers between the thumb and the one that begins, or ends: so many fewer lie over the keys to come, or over those before. Straight weight, less where the line goes by steps than where it is a broken chord; a choice, after teaching practice, by which an arpeggio begins on white with the thumb.",
  find({ now, before, earlier, weights, hand }, tell) {
    if (before === null || earlier === null || hand.resting.includes(1)) return;
    const begins = setsOut(earlier.onset);
    const closes = now.onset.last;
    if (!begins && !closes) return;
    const [from, at, to] = [earlier, before, now].map(single);
    if (!from || !at || !to) return;
    const steps = [at.x - from.x, to.x - at.x];
    const ends: [end: Press, isEnd: boolean, outwards: number][] = [
      [from, begins, Math.min(...steps)],
      [to, closes, -Math.max(...steps)],
    ];
    for (const [end, isEnd, outwards] of ends) {
      if (!isEnd || outwards <= 0 || end.black || end.finger === 1) continue;
      const inside = end.finger - 1;
      const share = outwards >= MOTION.brokenFrom ? 1 : MOTION.insideByStep;
      tell(to.stroke, inside, share * inside * weights.begunInside, end, null);
    }
  },
  spared: () => "the thumb begins and ends the line",
  say: ({ finger }) =>
    `the line begins or ends on ${finger!.stroke.spelled} with ${finger!.finger}, not with the thumb`,
};

function single({ struck }: Frame): Press | null {
  return struck.length === 1 ? struck[0]! : null;
}
