"use client";

import { useMemo } from "react";
import type { Day } from "@/core/time/days";
import { afterTake, notched, type Ladder, type Notch } from "@/core/practice/ladder";
import { beginsAt, sensibleToday, wayToDate, type WayToDate } from "@/core/practice/way-to-date";
import type { PassageData, TakeData } from "@/server/types";
import { studyOf } from "@/core/fingering/study/study-data";
import { lastDayOfChange } from "@/core/verdict/learning-price";
import { takenOr } from "../passage-in-hand/taken";
import { isOwn } from "../trials/own-takes";
import { triedOn } from "../trials/tried-on";
import type { StandInHand } from "./use-stand";

export interface LadderInHand extends Ladder {
  readonly notch: Notch;
  /** Quarter notes a minute. */
  readonly target: number;
  /** How far today is sensible; null where that is not known. */
  readonly sensible: number | null;
  /** The notches to the concert; null without one, or without a day of practice before it. */
  readonly way: WayToDate | null;
  /** The last day on which another fingering could be begun before the concert; null without one. */
  readonly lastChange: Day | null;
  /** What was played moves it. */
  played(take: { readonly clean: boolean; readonly easy: boolean }): void;
  slower(): void;
  takeNotch(notch: Notch): void;
}

interface Asked {
  readonly data: PassageData;
  readonly stand: StandInHand;
  readonly week: readonly number[];
  /** null until they have come. */
  readonly takes: readonly TakeData[] | null;
}

/** The ladder of a passage: where it stands, what moves it, and the way to the concert. */
export function useLadder({ data, stand, week, takes }: Asked): LadderInHand {
  const target = data.study.manner.tempo;
  const own = useMemo(
    () => (takes ?? []).filter(isOwn).map((take) => ({ ...triedOn(take), easy: take.felt?.easy ?? null })),
    [takes],
  );
  const { ladder, notch } = useMemo(() => {
    const { notch: kept = "clockwork", ...rest } = stand.ladder ?? { tempo: beginsAt(own, target), misses: 0 };
    return { ladder: rest as Ladder, notch: kept as Notch };
  }, [stand.ladder, own, target]);
  const way = useMemo(() => {
    if (!data.recital) return null;
    return wayToDate(own, { from: ladder.tempo, target, today: data.today, date: data.recital.heldOn as Day, week });
  }, [data.recital, data.today, own, ladder.tempo, target, week]);
  const lastChange = useMemo(() => {
    if (!data.recital) return null;
    const others = data.options.map(({ digits }) => digits);
    const now = takenOr(data)?.digits ?? null;
    return lastDayOfChange(studyOf(data.study), now, others, data.today, data.recital.heldOn as Day);
  }, [data]);
  const sensible = useMemo(() => sensibleToday(own), [own]);
  return {
    ...ladder,
    notch,
    target,
    sensible,
    way,
    lastChange,
    played: (take) => stand.set({ ladder: { ...afterTake(ladder, take, notch), notch } }),
    slower: () => stand.set({ ladder: { tempo: notched(ladder.tempo, -1, notch), misses: 0, notch } }),
    takeNotch: (next) => stand.set({ ladder: { ...ladder, notch: next } }),
  };
}
