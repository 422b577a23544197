import { blackAt } from "../../../keyboard/geometry";
import { isBlack, isOnKeyboard } from "../../../keyboard/pitch";
import { MOTION } from "../../../physics";
import type { Press } from "../../frames/frame";
import type { Cause, Moment, Tell } from "../cause";
import { clearanceBetween } from "../clearance";
import { eachJoinPair } from "../join";
import { haste } from "../pace";

/** A key beside the right one at risk: by a finger in mid-stretch, or by one that is idle inside a chord. */
export const neighbour: Cause = {
  id: "neighbour",
  label: "neighbour key at risk",
  unit: "mm",
  frames: 2,
  source:
    "The more a pair opens beyond relaxed the flatter it lies: the lift over other keys shrinks to nothing at its widest; a black key takes 12 mm of it. Straight weight on what is missing to a safe clearance, a choice.",
  find(moment, tell) {
    eachJoinPair(moment, (from, to, share) => onTheWay(moment, from, to, share, tell));
    insideChord(moment, tell);
  },
  spared: () => "the keys beside are clear",
  say: ({ finger }) => `${finger!.finger} may catch the key beside`,
};

/** A stretching finger comes to its key past the one before it, over it where the hand is drawn in among the black keys. */
function onTheWay(moment: Moment, from: Press, to: Press, share: number, tell: Tell): void {
  const keyBefore = to.key + (to.key > from.key ? -1 : 1);
  const isOver =
    from.black && !to.black && Math.abs(to.key - from.key) > 1 && isOnKeyboard(keyBefore) && isBlack(keyBefore);
  const clearance = clearanceBetween(moment.hand, from, to, isOver);
  const missing = MOTION.safeClearance - clearance;
  if (missing <= 0) return;
  tell(to.stroke, clearance, share * missing * moment.weights.neighbourPerMm * (1 + haste(moment)), to, from);
}

/** Fingers between two that play lie over the keys between, black ones where the hand is drawn in, the lower the wider the two are open. */
function insideChord(moment: Moment, tell: Tell): void {
  const { now, hand, instrument, weights } = moment;
  const mirror = hand.side === "right" ? 1 : -1;
  const isIn = now.struck.some((p) => p.black);
  for (let i = 1; i < now.struck.length; i++) {
    const [from, to] = [now.struck[i - 1]!, now.struck[i]!];
    const idle = to.finger - from.finger - 1;
    let [missing, least] = [0, Infinity];
    for (let n = 1; n <= idle; n++) {
      const x = from.x + ((to.x - from.x) * n) / (idle + 1);
      const clearance = clearanceBetween(moment.hand, from, to, isIn && blackAt(mirror * x, instrument));
      least = Math.min(least, clearance);
      missing += Math.max(0, MOTION.safeClearance - clearance);
    }
    if (missing > 0) tell(to.stroke, least, missing * weights.neighbourPerMm * 2 * to.stroke.load, to, from);
  }
}
