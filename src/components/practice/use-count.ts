"use client";

import { COUNT_BEFORE } from "@/core/physics";
import { counted, countForecast, type CountForecast } from "@/core/practice/count";
import type { TakeData } from "@/server/types";
import type { StandInHand } from "./use-stand";

export interface CountInHand {
  readonly wanted: number;
  readonly plays: readonly boolean[];
  /** How far it has come. */
  readonly count: number;
  readonly isDone: boolean;
  forecastOf(wanted: number): CountForecast | null;
  want(wanted: number): void;
  play(isGood: boolean): void;
  undo(): void;
  anew(): void;
}

/** Good plays that are wanted until the player says how many. */
const USUAL = 5;

/** The count of good plays, kept with the player. @param takes the player's own, from which their rate is read */
export function useCount(stand: StandInHand, takes: readonly TakeData[]): CountInHand {
  const { wanted, plays } = stand.count ?? { wanted: USUAL, plays: [] };
  const count = plays.reduce(counted, 0);
  const good = COUNT_BEFORE.good + plays.filter(Boolean).length + takes.filter(({ clean }) => clean).length;
  const rate = good / (COUNT_BEFORE.all + plays.length + takes.length);
  const set = (next: { readonly wanted?: number; readonly plays?: readonly boolean[] }): void =>
    stand.set({ count: { wanted, plays, ...next } });
  return {
    wanted,
    plays,
    count,
    isDone: count >= wanted,
    forecastOf: (one) => countForecast(one, rate),
    want: (next) => set({ wanted: next }),
    play: (isGood) => count < wanted && set({ plays: [...plays, isGood] }),
    undo: () => set({ plays: plays.slice(0, -1) }),
    anew: () => set({ plays: [] }),
  };
}
