"use client";

import Link from "next/link";
import { parseAsString, useQueryState } from "nuqs";
import { useMemo } from "react";
import { chosenDrills, faultsOf } from "@/core/practice/choice";
import type { Drill } from "@/core/practice/drill";
import { drillsOf } from "@/core/practice/drills";
import { sourcesOf } from "@/core/practice/source";
import { toNumber } from "@/core/time/beats";
import type { StudyData } from "@/core/fingering/study/study-data";
import type { Side } from "@/core/hand/finger";
import type { PassageData, TakeData } from "@/server/types";
import { PassageTitle } from "../passage-in-hand/passage-title";
import { useSameStudy, useStudyAtHand } from "../passage-in-hand/use-study-at-hand";
import { usePassageView } from "../passage-in-hand/use-view";
import { isOwn } from "../trials/own-takes";
import { useTakes } from "../trials/use-takes";
import { buttonLook } from "../ui/button";
import { CountPanel } from "./count-panel";
import { DrillList } from "./drill-list";
import { DrillOnDesk } from "./drill-on-desk";
import { LadderPanel } from "./ladder-panel";

/** The next ten minutes of a passage: a drill made out of it, the ladder it is taken up, and the count of good plays. */
export function PracticeDesk({ data }: { data: PassageData }) {
  const study = useSameStudy(data.study);
  useStudyAtHand(study);
  const { takes } = useTakes(data.id, true);
  const { drill, fifths, proposed, all, choose } = useDrills(data, study, takes);
  return (
    <div>
      <PassageTitle data={data}>
        <Link href={`/bench/${data.id}`} className={buttonLook()}>
          Bench
        </Link>
      </PassageTitle>
      {data.halt ? (
        <p role="status" className="mt-6 max-w-prose">
          You stopped because of {data.halt.sign}. Nothing is proposed until you say on the Bench that you are playing
          again.
        </p>
      ) : !drill ? (
        <p className="mt-6 max-w-prose">There is nothing here to make a drill of yet: the passage has no fingering.</p>
      ) : (
        <div className="grid gap-6 lg:grid-cols-[1fr_20rem]">
          <div className="min-w-0 lg:sticky lg:top-(--header) lg:self-start">
            <DrillOnDesk key={drill.id} drill={drill} fifths={fifths} />
          </div>
          <aside className="flex flex-col gap-5 text-sm">
            <LadderPanel key={`ladder ${data.id}`} passageId={data.id} target={study.manner.tempo} />
            <CountPanel key={`count ${data.id}`} seconds={secondsOf(drill)} takes={takes?.filter(isOwn) ?? []} />
            <DrillList proposed={proposed} all={all} chosen={drill.id} onChoose={choose} />
          </aside>
        </div>
      )}
    </div>
  );
}

/** The drills of the option that is taken, those that are proposed, and the one on the desk. */
function useDrills(data: PassageData, study: StudyData, takes: readonly TakeData[] | null) {
  const view = usePassageView(study, data.options);
  const option = takenOr(data);
  const judged = view.all.find((one) => one.option.id === option?.id)?.judged;
  const sources = useMemo(() => (option ? sourcesOf(view.study, option.digits) : []), [view.study, option]);
  const proposed = useMemo(() => {
    const own = takes?.filter((take) => isOwn(take) && take.fingeringId === option?.id) ?? [];
    return judged ? sources.flatMap((source) => chosenDrills(source, judged, { known: faultsOf(source, own) })) : [];
  }, [sources, judged, takes, option]);
  const all = useMemo(() => sources.map((source) => ({ side: source.side, drills: drillsOf(source) })), [sources]);
  const [asked, setAsked] = useQueryState("drill", parseAsString);
  const every = all.flatMap(({ side, drills }) => drills.map((drill) => ({ drill, name: nameOf(side, drill) })));
  const found = every.find(({ name }) => name === asked)?.drill;
  return {
    drill: found ?? proposed[0]?.drill ?? every[0]?.drill,
    fifths: sources[0]?.fifths ?? 0,
    proposed,
    all,
    choose: (side: Side, drill: Drill): void => void setAsked(nameOf(side, drill)),
  };
}

function nameOf(side: string, { id }: Drill): string {
  return `${side} ${id}`;
}

/** The option that is taken, else the first. */
function takenOr({ options, verdicts }: PassageData) {
  const last = verdicts.findLast((v) => v.kind === "taken" || v.kind === "reopened" || v.kind === "undecided");
  return options.find(({ id }) => last?.kind === "taken" && id === last.fingeringId) ?? options[0];
}

/** s that a drill takes once. */
function secondsOf({ music: { hands, tempo } }: Drill): number {
  const quarters = Math.max(
    ...hands.map(({ events }) => events.reduce((sum, { length }) => sum + toNumber(length), 0)),
  );
  return (quarters * 60) / tempo;
}
