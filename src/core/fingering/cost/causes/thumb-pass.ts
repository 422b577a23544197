import type { Cause } from "../cause";
import { fingerName } from "../../../hand/finger";
import { boundShare } from "../join";
import { passedBy, passStrain } from "../stretch";
import { mm } from "../words";

/** The thumb going under a finger, or a finger over the thumb. */
export const thumbPass: Cause = {
  id: "thumb-pass",
  label: "thumb pass",
  unit: "mm",
  frames: 2,
  source:
    "Judged by the finger passed, black or white under each, how far and which way, as teaching practice has it; a choice.",
  find(moment, tell) {
    const { now, before, carried } = moment;
    if (before === null || carried || before.struck.length !== 1 || now.struck.length !== 1) return;
    const [from, to] = [before.struck[0]!, now.struck[0]!];
    const strain = passStrain(moment, from, to);
    if (strain > 0) tell(to.stroke, passedBy(from, to), strain * boundShare(from, moment), to, from);
  },
  spared: () => "the thumb need not pass",
  say: ({ amount, finger, other }) =>
    finger?.finger === 1
      ? `thumb under the ${fingerName(other!.finger)}, ${mm(amount)} past it`
      : `${fingerName(finger!.finger)} over the thumb, ${mm(amount)} past it`,
};
