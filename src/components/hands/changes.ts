import { spansOf, type HandMeasured } from "@/core/hand/measured";
import { PAIRS, pairName, type PairName } from "@/core/hand/pair";

/** mm by which measured figures have changed; pairs not measured both times are left out. */
export interface Changes {
  readonly span: number | undefined;
  readonly pairs: Readonly<Partial<Record<PairName, number>>>;
}

export function changesSince(before: HandMeasured, now: HandMeasured): Changes {
  const [old, current] = [spansOf(before), spansOf(now)];
  const pairs: Partial<Record<PairName, number>> = {};
  for (const name of PAIRS.map((p) => pairName(...p))) {
    const [a, b] = [old[name].widest, current[name].widest];
    if (a.measured && b.measured) pairs[name] = b.mm - a.mm;
  }
  const both = before.rulerSpan !== undefined && now.rulerSpan !== undefined;
  return { span: both ? now.rulerSpan! - before.rulerSpan! : undefined, pairs };
}
