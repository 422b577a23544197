"use client";

import { parseAsBoolean, useQueryState } from "nuqs";
import { useMemo, useState } from "react";
import { studyOf } from "@/core/fingering/study/study-data";
import { useSameStudy, useStudyAtHand } from "../passage-in-hand/use-study-at-hand";
import { isOwn } from "../trials/own-takes";
import { useHalt } from "../trials/use-halt";
import { useTakes } from "../trials/use-takes";
import { useClick } from "./use-click";
import { useCount } from "./use-count";
import { useHandsFree } from "./use-hands-free";
import { useLadder } from "./use-ladder";
import { usePracticeTake } from "./use-practice-take";
import { useStand } from "./use-stand";
import type { PassageData, PracticeStand } from "@/server/types";
import { worstOf } from "../keeping/sending";
import { useKeeping } from "../keeping/use-keeping";
import { useDrills } from "./use-drills";

/** Everything on the desk, in one hand. */
export function usePracticeDesk(data: PassageData, given: PracticeStand) {
  const study = useSameStudy(data.study);
  useStudyAtHand(study);
  const whole = useMemo(() => studyOf(study), [study]);
  const halt = useHalt(data.player.id, data.halt);
  const takes = useTakes(data.id, true);
  const own = useMemo(() => takes.takes?.filter(isOwn) ?? [], [takes.takes]);
  const stand = useStand(data.id, given);
  const { school, week, block } = given;
  const drills = useDrills({ data, study, takes: takes.takes, stand, school, doing: block?.doing ?? null });
  const ladder = useLadder({ data, stand, week, takes: takes.takes });
  const count = useCount(stand, own);
  // So many good plays are the figure of a drill: it has done its work then, and another is proposed.
  const play = (isGood: boolean): void => {
    count.play(isGood);
    if (isGood && count.count + 1 >= count.wanted) drills.work(true);
  };
  const click = useClick(ladder.tempo);
  const [isFar, setFar] = useQueryState("far", parseAsBoolean.withDefault(false));
  const [said, saySaid] = useState<string | null>(null);
  const take = usePracticeTake({
    data,
    study: whole,
    tempo: ladder.tempo,
    click: click.isOn,
    takes,
    isHalted: halt.halt !== null,
    onRead(clean) {
      play(clean);
      // What was clean waits for the player's word on whether it was easy.
      if (!clean) ladder.played({ clean: false, easy: false });
    },
  });
  const isFree = take.phase === "idle" && halt.halt === null;
  useHandsFree({ piano: take.piano, isOn: isFree, onGood: () => play(true), onBad: () => play(false) });
  const id = take.told?.id ?? null;
  const isAsking = id !== null && id !== said && take.told?.take.source !== "simulated piano";
  return {
    ...{ halt, ladder, click, take, isAsking },
    count: { ...count, play },
    drills: {
      ...drills,
      // Another drill is counted from the beginning.
      choose(...of: Parameters<typeof drills.choose>): void {
        if (count.plays.length > 0) count.anew();
        drills.choose(...of);
      },
    },
    /** How the takes and the stand are kept. */
    keeping: worstOf([takes.keeping, useKeeping(`practice ${data.id}`)]),
    isFar,
    setFar: (far: boolean): void => void setFar(far || null),
    reached: stand.ladder?.tempo ?? null,
    counted: count.plays.length === 0 ? null : { good: count.plays.filter(Boolean).length, plays: count.plays.length },
    feel(felt: Parameters<typeof takes.feel>[1]): void {
      if (id === null) return;
      takes.feel(id, felt);
      saySaid(id);
      if (take.told?.report.clean) ladder.played({ clean: true, easy: felt.easy === true });
    },
    skip: (): void => saySaid(id),
  };
}

export type PracticeDeskInHand = ReturnType<typeof usePracticeDesk>;
