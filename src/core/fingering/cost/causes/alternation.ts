import { MOTION } from "../../../physics";
import type { Cause } from "../cause";
import { tendonShared } from "../tendons";
import { fingers, hz } from "../words";

/** Two fingers striking in turn faster than this pair does with ease, as in a trill. */
export const alternation: Cause = {
  id: "alternation",
  label: "fingers in turn",
  unit: "Hz",
  frames: 3,
  source:
    "Strokes a second beyond 4, by how little the two fingers move apart from one another: 3, 4 and 5 share tendons. The order of the pairs is teaching practice, the figures are a choice.",
  find({ now, before, earlier, weights }, tell) {
    if (earlier?.struck.length !== 1 || before?.struck.length !== 1 || now.struck.length !== 1) return;
    const a = earlier.struck[0]!;
    const b = before.struck[0]!;
    const c = now.struck[0]!;
    if (a.finger !== c.finger || a.key !== c.key || b.finger === a.finger) return;
    const rate = 2000 / (now.onset.gap + before.onset.gap);
    const beyond = rate - MOTION.alternationEase;
    const bond = tendonShared(a.finger, b.finger);
    if (beyond > 0 && bond > 0) tell(c.stroke, rate, beyond * bond * weights.alternation, c, b);
  },
  spared: () => "no weak pair alternates",
  say: ({ amount, finger, other }) => `${fingers(other, finger)} in turn, ${hz(amount)}`,
};
