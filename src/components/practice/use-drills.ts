"use client";

import { parseAsString, useQueryState } from "nuqs";
import { useMemo } from "react";
import type { StudyData } from "@/core/fingering/study/study-data";
import type { Side } from "@/core/hand/finger";
import { chosenDrills, knownOnsets, type DrillChosen } from "@/core/practice/choice";
import type { Drill } from "@/core/practice/drill";
import { drillsOf } from "@/core/practice/drills";
import type { Doing } from "@/core/practice/planner/day";
import type { School } from "@/core/practice/school";
import { sourcesOf } from "@/core/practice/source";
import { toNumber } from "@/core/time/beats";
import type { PassageData, TakeData } from "@/server/types";
import { takenOr } from "../passage-in-hand/taken";
import { usePassageView } from "../passage-in-hand/use-view";
import { isOwn } from "../trials/own-takes";
import type { StandInHand } from "./use-stand";

export interface DrillsInHand {
  /** The one on the desk; undefined where there is nothing to make a drill of. */
  readonly drill: Drill | undefined;
  readonly side: Side;
  /** Key signature that drills are written in. */
  readonly fifths: number;
  readonly proposed: readonly DrillChosen[];
  readonly all: readonly { readonly side: Side; readonly drills: readonly Drill[] }[];
  /** Whether the drill on the desk has done its work, in the player's own word. */
  readonly isWorked: boolean;
  choose(side: Side, drill: Drill): void;
  /** The drill on the desk has done its work, or has not after all. */
  work(isDone: boolean): void;
}

interface Asked {
  readonly data: PassageData;
  readonly study: StudyData;
  readonly takes: readonly TakeData[] | null;
  readonly stand: StandInHand;
  readonly school: School;
  /** What the block at hand is for; null for none. */
  readonly doing: Doing | null;
}

/** The drills of the option that is taken, those that are proposed, and the one on the desk. */
export function useDrills({ data, study, takes, stand, school, doing }: Asked): DrillsInHand {
  const view = usePassageView(study, data.options);
  const option = takenOr(data);
  const judged = view.all.find((one) => one.option.id === option?.id)?.judged;
  const sources = useMemo(() => (option ? sourcesOf(view.study, option.digits) : []), [view.study, option]);
  const { worked } = stand;
  const proposed = useMemo(() => {
    const own = takes?.filter((take) => isOwn(take) && take.fingeringId === option?.id) ?? [];
    if (!judged) return [];
    return sources.flatMap((source) => {
      const done = Object.keys(worked).filter((name) => name.startsWith(`${source.side} `));
      const given = {
        known: knownOnsets(source, own),
        school,
        worked: new Set(done.map((name) => name.slice(source.side.length + 1))),
      };
      return chosenDrills(source, judged, given);
    });
  }, [sources, judged, takes, option, worked, school]);
  const all = useMemo(() => sources.map((source) => ({ side: source.side, drills: drillsOf(source) })), [sources]);
  const [asked, setAsked] = useQueryState("drill", parseAsString);
  const every = all.flatMap(({ side, drills }) => drills.map((drill) => ({ drill, side, name: nameOf(side, drill) })));
  const first = doing === "warm-up" ? every.find(({ drill }) => drill.kind === WARM[school.basis]) : undefined;
  const chosen =
    proposed[0] && every.find(({ drill }) => drill === proposed[0]!.drill || drill.id === proposed[0]!.drill.id);
  const found = every.find(({ name }) => name === asked) ?? first ?? chosen ?? every[0];
  return {
    drill: found?.drill,
    side: found?.side ?? "right",
    fifths: sources[0]?.fifths ?? 0,
    proposed,
    all,
    isWorked: found !== undefined && worked[found.name] !== undefined,
    choose: (side, drill) => void setAsked(nameOf(side, drill)),
    work: (isDone) => {
      if (!found) return;
      const others = Object.entries(worked).filter(([name]) => name !== found.name);
      const done = isDone ? [[found.name, data.today] as const] : [];
      stand.set({ worked: Object.fromEntries([...others, ...done]) });
    },
  };
}

const WARM = { exercises: "warm-five", passage: "warm-easy" } as const;

function nameOf(side: string, { id }: Drill): string {
  return `${side} ${id}`;
}

/** s that a drill takes once. */
export function secondsOf({ music: { hands, tempo } }: Drill): number {
  const quarters = Math.max(
    ...hands.map(({ events }) => events.reduce((sum, { length }) => sum + toNumber(length), 0)),
  );
  return (quarters * 60) / tempo;
}
