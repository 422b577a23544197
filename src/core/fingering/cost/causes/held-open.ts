import type { Press } from "../../frames/frame";
import type { Cause, Moment } from "../cause";
import { freeBefore } from "../join";
import { openBeyond } from "../stretch";
import { fingers, seconds } from "../words";

/** A wide opening kept up from one onset to the next, without a window in which the hand could close. */
export const heldOpen: Cause = {
  id: "held-open",
  label: "opening held on",
  unit: "ms",
  frames: 2,
  source:
    "mm beyond relaxed of the widest pair kept down, times the ms it is kept, which is its amount; straight weight, a choice.",
  find(moment, tell) {
    const { now, before, weights } = moment;
    const at = before?.struck[0];
    if (at === undefined || before!.struck.length + before!.held.length < 2) return;
    const widest = widestPair(moment, [...before!.held, ...before!.struck]);
    if (widest === null) return;
    const ms = now.onset.gap - Math.max(freeBefore(widest.from, moment), freeBefore(widest.to, moment));
    if (ms <= 0) return;
    tell(at.stroke, ms, ((widest.mm * ms) / 1000) * weights.heldOpen, widest.to, widest.from);
  },
  spared: () => "no opening is held on",
  say: ({ amount, finger, other }) => `${fingers(other, finger)} stay stretched for ${seconds(amount)}`,
};

function widestPair(
  moment: Moment,
  down: readonly Press[],
): { readonly from: Press; readonly to: Press; readonly mm: number } | null {
  let widest: { from: Press; to: Press; mm: number } | null = null;
  for (let i = 0; i < down.length; i++) {
    for (let j = i + 1; j < down.length; j++) {
      if (down[i]!.finger === down[j]!.finger) continue;
      const mm = openBeyond(moment, down[i]!, down[j]!);
      if (mm > 0 && (widest === null || mm > widest.mm)) widest = { from: down[i]!, to: down[j]!, mm };
    }
  }
  return widest;
}
