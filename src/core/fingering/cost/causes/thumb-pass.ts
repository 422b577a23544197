import type { Cause } from "../cause";
import { fingerName } from "../../../hand/finger";
import { mm } from "../words";

/** The thumb going under a finger, or a finger over the thumb. */
export const thumbPass: Cause = {
  id: "thumb-pass",
  label: "thumb pass",
  unit: "mm",
  frames: 2,
  source: "Judged by the finger passed, black or white under each, as teaching practice has it; a choice.",
  find({ now, before, weights }, tell) {
    if (before === null || before.struck.length !== 1 || now.struck.length !== 1) return;
    const [from, to] = [before.struck[0]!, now.struck[0]!];
    const under = to.finger === 1;
    if (from.finger === to.finger || (!under && from.finger !== 1)) return;
    const [thumb, other] = under ? [to, from] : [from, to];
    const passed = thumb.x - other.x;
    if (passed <= 0) return;
    const againstGrain = thumb.black && !other.black;
    const sameLevel = thumb.black === other.black;
    const level = againstGrain ? weights.thumbPassAgainst : sameLevel ? weights.thumbPassLevel : 0;
    const perMm = weights.thumbPassPerMm[other.finger - 2] as number;
    const strain = weights.thumbPass + level + passed * perMm + (weights.thumbPassFinger[other.finger - 2] as number);
    tell(to.stroke, passed, strain, to, from);
  },
  say: ({ amount, finger, other }) =>
    finger?.finger === 1
      ? `thumb under the ${fingerName(other!.finger)}, ${mm(amount)} past it`
      : `${fingerName(finger!.finger)} over the thumb, ${mm(amount)} past it`,
};
