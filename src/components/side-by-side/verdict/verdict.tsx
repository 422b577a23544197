"use client";

import type { Study } from "@/core/fingering/study/study";
import type { PassageData, TakeData } from "@/server/types";
import { KeepingState } from "../../keeping/keeping-state";
import { LearningTable } from "../tables/learning-table";
import { StandingView } from "./standing-view";
import { useVerdict } from "./use-verdict";
import { VerdictForm } from "./verdict-form";
import { VerdictHistory } from "./verdict-history";

interface Props {
  readonly data: PassageData;
  readonly study: Study;
  readonly author: string;
  /** Takes of the passage, newest first. */
  readonly takes: readonly TakeData[];
}

/** Which one: undecided until a day, or taken with a reason; what it costs to learn, and when to look at it again. */
export function Verdict({ data, study, author, takes }: Props) {
  const inHand = useVerdict(data, author);
  const { events, standing, keeping } = inHand;
  return (
    <section aria-label="Verdict" className="flex flex-col gap-3">
      <div className="flex items-baseline justify-between">
        <h2 className="font-serif text-xl">Verdict</h2>
        <KeepingState keeping={keeping} />
      </div>
      <StandingView data={data} study={study} inHand={inHand} takes={takes} />
      <LearningTable data={data} study={study} inHand={inHand} />
      {standing.state !== "taken" && <VerdictForm data={data} inHand={inHand} author={author} />}
      <VerdictHistory events={events} options={data.options} isTaken={standing.state === "taken"} />
    </section>
  );
}
