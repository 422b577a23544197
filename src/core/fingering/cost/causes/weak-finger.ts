import { MIDDLING } from "../../../passage/passage";
import { fingerName } from "../../../hand/finger";
import type { Frame, Press } from "../../frames/frame";
import type { Cause, Moment, Tell } from "../cause";

/** Fourth and fifth finger at work, 3 and 4 one after the other, and 3, 4, 5 in a row. */
export const weakFinger: Cause = {
  id: "weak-finger",
  label: "weak finger",
  unit: "notes",
  frames: 3,
  source: "The weak-finger rules of the ergonomic model cited in hand/proportions; weights are a choice.",
  find(moment, tell) {
    for (const at of moment.now.struck) {
      const strain = (moment.weights.weakFinger[at.finger - 1] as number) * underLoad(at, moment);
      if (strain > 0) tell(at.stroke, 1, strain, at, null);
    }
    const [first, from, to] = [single(moment.earlier), single(moment.before), single(moment.now)];
    if (from === null || to === null) return;
    tellPair(moment, from, to, tell);
    if (first !== null && isWeakRow(first, from, to)) tell(to.stroke, 3, moment.weights.weakRow, to, first);
  },
  spared: () => "no weak finger has to work",
  say: ({ amount, finger, other }) =>
    amount === 3
      ? "3, 4 and 5 in a row"
      : other
        ? "3 and 4 one after the other"
        : `the ${fingerName(finger!.finger)} has to work`,
};

/** How much more a weak finger costs than on a middling note: by its load, and where it must carry the tune. */
function underLoad({ stroke }: Press, { weights }: Moment): number {
  return Math.max(0, 1 + weights.weakPerLoad * (stroke.load - MIDDLING) + (stroke.tune ? weights.weakInTune : 0));
}

/** 3 and 4 in turn; worse with the fourth on a black key and the third on a white one. */
function tellPair({ weights }: Moment, from: Press, to: Press, tell: Tell): void {
  const [three, four] = from.finger === 3 ? [from, to] : [to, from];
  if (three.finger !== 3 || four.finger !== 4) return;
  const inside = four.black && !three.black ? weights.fourthInside : 0;
  tell(to.stroke, 2, weights.weakPair + inside, to, from);
}

function isWeakRow(first: Press, from: Press, to: Press): boolean {
  const fingers = [first.finger, from.finger, to.finger];
  return [3, 4, 5].every((weak) => fingers.includes(weak as Press["finger"]));
}

/** The only finger that strikes in a frame, or null. */
function single(frame: Frame | null): Press | null {
  return frame !== null && frame.struck.length === 1 ? frame.struck[0]! : null;
}
