import type { Frame, Press } from "../../frames/frame";
import { MOTION } from "../../../physics";
import type { Cause, Moment } from "../cause";
import { armBetween } from "../arm";
import { breakPrice, hopShare, isHeldUntil, legatoShare } from "../join";

/** One finger on two keys running, while the rest of the hand joins the notes or holds on. */
export const sameFinger: Cause = {
  id: "same-finger",
  label: "same finger again",
  unit: "notes",
  frames: 2,
  source:
    "A hop breaks the line as letting go does, as far as it is bound; of several notes each has its part, a held note less where three fingers or more are down before or after, and the thumb less that glides on to the next white key beside one. A choice.",
  find(moment, tell) {
    const { now, before, weights, hand, letGo } = moment;
    if (before === null || now.onset.swept) return;
    const fingers = (1 - armBetween(hand, before, now)) / Math.max(1, now.struck.length);
    for (const to of now.struck) {
      const from = letGo ? undefined : before.struck.find((p) => p.finger === to.finger && p.key !== to.key);
      if (from) {
        const bound = fingers * hopShare(from, to, moment) * legatoShare(from, moment);
        tell(to.stroke, 1, bound * weights.lineBroken, to, from);
      }
      const held = heldUntilNow(to, moment);
      const hop = held ? priceOfHeld(moment, before) * hopShare(held, to, moment) : 0;
      if (held && hop > 0) tell(to.stroke, 1, hop, to, held);
    }
  },
  spared: () => "no finger strikes twice running",
  say: ({ finger, other }) => `${finger!.finger} has two keys running${other ? ": the line breaks" : ""}`,
};

/** A hop from a held note: less where the arm moves the whole hand; and where the hand lets go that is priced already. */
function priceOfHeld(moment: Moment, before: Frame): number {
  const { weights, now, letGo } = moment;
  const spared = MOTION.heldWhole[[before, now].filter(isDownWhole).length]!;
  const price = weights.lineBroken * (1 - spared) * (now.onset.anew ? MOTION.heldAnew : 1);
  return letGo ? Math.max(0, price - breakPrice(moment)) : price;
}

/** Whether a hand is down with three fingers or more. */
function isDownWhole({ struck, held }: Frame): boolean {
  return struck.length + held.length >= MOTION.wholeFrom;
}

/** The note that a finger held until it must strike another one. */
function heldUntilNow(to: Press, { now, before }: Moment): Press | undefined {
  return before!.held.find((p) => p.finger === to.finger && p.key !== to.key && isHeldUntil(p, now.onset));
}
