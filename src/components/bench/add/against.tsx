import { useMemo } from "react";
import { compareFingerings } from "@/core/fingering/explain/compare";
import { leaningById } from "@/core/options/leanings";
import type { Study } from "@/core/fingering/study/study";
import type { OptionJudged } from "../../passage-in-hand/option-cards";

interface Props {
  readonly study: Study;
  readonly all: readonly OptionJudged[];
  readonly inView: OptionJudged;
}

/** The option in view against the easiest of the others: where it differs, what it gains and what it costs. */
export function Against({ study, all, inView }: Props) {
  const other = all
    .filter((o) => o.option.id !== inView.option.id)
    .reduce<OptionJudged | null>((a, b) => (a === null || b.judged.strain < a.judged.strain ? b : a), null);
  const sentence = useMemo(
    () => other && compareFingerings(study, inView.judged, other.judged).sentence,
    [study, inView, other],
  );
  const { origin, leaning } = inView.option;
  return (
    <p className="text-sm">
      {origin === "solved" && <span className="text-soft">{leaningById(leaning).what} </span>}
      {other && (
        <>
          <span className="font-serif italic">Against {other.option.name}:</span> {sentence}
        </>
      )}
    </p>
  );
}
