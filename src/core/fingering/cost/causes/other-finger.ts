import { fingers } from "../words";
import type { Cause } from "../cause";

/** Another finger on a key that was struck just before, or with one note between: it must be thought of. */
export const otherFinger: Cause = {
  id: "other-finger",
  label: "other finger on the same key",
  unit: "notes",
  frames: 3,
  source:
    "A choice: less than a change of position; where a finger cannot repeat so fast, changing is cheaper all the same.",
  find({ now, before, earlier, weights }, tell) {
    for (const to of now.struck) {
      const from = [before, earlier].flatMap((frame) => frame?.struck ?? []).find((p) => p.key === to.key);
      if (from && from.finger !== to.finger) tell(to.stroke, 1, weights.otherFinger / now.struck.length, to, from);
    }
  },
  spared: () => "a key keeps its finger",
  say: ({ finger, other }) => `${fingers(other, finger)} in turn on ${finger!.stroke.spelled}`,
};
