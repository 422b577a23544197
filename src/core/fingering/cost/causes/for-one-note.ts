import { isPass } from "../pass";
import type { Cause } from "../cause";

/** A thumb pass that is made for a single note: at the first or the last note of a line, or there and back at once. */
export const forOneNote: Cause = {
  id: "for-one-note",
  label: "pass for one note",
  unit: "notes",
  frames: 3,
  source: "A choice: a position should serve more than one note.",
  find({ now, before, earlier, weights }, tell) {
    if (before === null || !isPass(before, now)) return;
    const times =
      Number(before.onset.index === 0) + Number(now.onset.last) + Number(earlier !== null && isPass(earlier, before));
    if (times > 0) tell(now.struck[0]!.stroke, times, times * weights.forOneNote, now.struck[0]!, before.struck[0]!);
  },
  spared: () => "no pass serves one note only",
  say: () => "the thumb passes for one note only",
};
