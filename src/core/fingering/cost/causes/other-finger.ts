import type { Frame, Press } from "../../frames/frame";
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
      const from = onKey(before, to) ?? onKey(earlier, to);
      if (from && from.finger !== to.finger) tell(to.stroke, 1, weights.otherFinger / now.struck.length, to, from);
    }
  },
  spared: () => "a key keeps its finger",
  say: ({ finger, other }) => `${fingers(other, finger)} in turn on ${finger!.stroke.spelled}`,
};

function onKey(frame: Frame | null, { key }: Press): Press | undefined {
  if (frame !== null) for (const press of frame.struck) if (press.key === key) return press;
  return undefined;
}
