import { CONTACT, MOTION } from "../../../physics";
import type { Hand } from "../../../hand/hand";
import type { Frame, Press } from "../../frames/frame";
import { pace } from "../pace";
import { mm } from "../words";
import type { Cause } from "../cause";

/** The hand travelling towards the fallboard or back. */
export const inOut: Cause = {
  id: "in-out",
  label: "in and out",
  unit: "mm",
  frames: 2,
  source:
    "mm between the depths at which all fingers of one onset and of the next reach their keys, fingers curling and stretching; straight weight, a choice.",
  find({ now, before, weights, hand }, tell) {
    const first = now.struck[0];
    if (before === null || first === undefined || before.struck.length === 0) return;
    const a = depthsOf(before, hand);
    const b = depthsOf(now, hand);
    const travel = Math.max(0, a.least - b.most, b.least - a.most);
    if (travel > 0) tell(first.stroke, travel, travel * weights.inOut * pace(now.onset.gap), first, before.struck[0]!);
  },
  spared: () => "the hand need not travel in or out",
  say: ({ amount }) => `the hand goes ${mm(amount)} in or out`,
};

/** mm from the white fronts, how far in the foremost fingertip may stand for every finger to reach its key. */
interface Depths {
  readonly least: number;
  readonly most: number;
}

/** Where no depth serves all, what lies between theirs. */
function depthsOf({ struck }: Frame, hand: Hand): Depths {
  let least = -Infinity;
  let most = Infinity;
  for (const at of struck) {
    const depths = depthsFor(at, hand);
    least = Math.max(least, depths.least);
    most = Math.min(most, depths.most);
  }
  return least <= most ? { least, most } : { least: (least + most) / 2, most: (least + most) / 2 };
}

/** A long finger reaches in between the black keys to a white one; thumb and little finger stay on its head. */
function depthsFor({ finger, y, black }: Press, { behind }: Hand): Depths {
  const at = y + (behind[finger - 1] as number);
  const isLong = finger !== 1 && finger !== 5;
  const inwards = black ? CONTACT.blackGive : isLong ? CONTACT.tailGive : CONTACT.headGive;
  return { least: at - CONTACT.headGive - MOTION.curl, most: at + inwards + MOTION.curl };
}
