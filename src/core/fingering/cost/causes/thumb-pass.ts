import { fingerName } from "../../../hand/finger";
import { eachBoundPair } from "../join";
import { isPass, passedBy, passStrain } from "../pass";
import type { Cause } from "../cause";

/** The thumb going under a finger, or a finger over the thumb. */
export const thumbPass: Cause = {
  id: "thumb-pass",
  label: "thumb pass",
  unit: "mm",
  frames: 3,
  source:
    "From how far the hand's own thumb comes past the finger, black or white under each; weights are a choice. Fingers drawn together over one key pass for no more than carrying the hand.",
  find(moment, tell) {
    const { before, now } = moment;
    // Asked millions of times: two single notes that pass nothing need no further look.
    const isAlone = before?.struck.length === 1 && now.struck.length === 1 && before.held.length === 0;
    if (isAlone && !isPass(before, now)) return;
    eachBoundPair(moment, (from, to, share) => {
      const strain = share * passStrain(moment, from, to);
      if (strain > 0) tell(to.stroke, passedBy(from, to), strain, to, from);
    });
  },
  spared: () => "the thumb need not pass",
  say: ({ finger, other }) =>
    finger?.finger === 1
      ? `thumb under the ${fingerName(other!.finger)}`
      : `${fingerName(finger!.finger)} over the thumb`,
};
