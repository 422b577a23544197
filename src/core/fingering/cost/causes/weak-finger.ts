import { fingerName } from "../../../hand/finger";
import { MOTION, PLAYING } from "../../../physics";
import type { Press } from "../../frames/frame";
import type { Cause, Moment } from "../cause";
import { fingers } from "../words";
import { tendonShared } from "../tendons";

/** Fourth and fifth finger at work, by what is asked of them: next to nothing for a quiet step, more by load and speed. */
export const weakFinger: Cause = {
  id: "weak-finger",
  label: "weak finger",
  unit: "notes",
  frames: 2,
  source:
    "The weak-finger rules of the ergonomic model cited in hand/proportions, by load and speed; weights are a choice.",
  find(moment, tell) {
    const { now, before, weights } = moment;
    for (const at of now.struck) {
      const strain = (weights.weakFinger[at.finger - 1] as number) * underLoad(at, moment);
      if (strain > 0) tell(at.stroke, 1, strain, at, null);
    }
    if (before?.struck.length !== 1 || now.struck.length !== 1) return;
    const fast = 1000 / now.onset.gap - MOTION.alternationEase;
    if (fast <= 0) return;
    const from = before.struck[0]!;
    const to = now.struck[0]!;
    const bond = Math.abs(from.finger - to.finger) > 1 ? 0 : tendonShared(from.finger, to.finger);
    if (bond > 0) tell(to.stroke, 2, weights.weakPairPerHz * bond * fast, to, from);
  },
  spared: () => "no weak finger has to work",
  say: ({ finger, other }) =>
    other ? `${fingers(other, finger)} one after the other, fast` : `the ${fingerName(finger!.finger)} has to work`,
};

/** How much more a weak finger costs than on a middling note: by its load, and where it must carry the tune. */
function underLoad({ stroke }: Press, { weights }: Moment): number {
  return Math.max(
    0,
    1 + weights.weakPerLoad * (stroke.load - PLAYING.middling) + (stroke.tune ? weights.weakInTune : 0),
  );
}
