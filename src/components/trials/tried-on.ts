import { format } from "date-fns";
import { day, type Day } from "@/core/time/days";
import type { TriedOn } from "@/core/trials/progress";
import type { TakeData } from "@/server/types";

/** The day that a take was played on where the player is. */
export function dayOfTake({ at }: Pick<TakeData, "at">): Day {
  return day(format(new Date(at), "yyyy-MM-dd"));
}

/** A take as breaking and progress look at it. */
export function triedOn(take: TakeData): TriedOn {
  return { tempo: take.tempoReached ?? take.tempo, clean: take.clean, day: dayOfTake(take) };
}
