import { DAY_PLAN } from "@/core/physics";
import { isWide, playedAMinute } from "@/core/practice/planner/dose";
import type { BlockData } from "@/server/types";

/** Whether a block that was moved by hand opens the hands wide before they are warm. @param from minutes of the day before it */
export function isTooWideYet({ doing, dose, minutes, state }: BlockData, from: number, isCold: boolean): boolean {
  if (state !== "planned" || doing === "warm-up") return false;
  return isWide(playedAMinute(dose, minutes)) && from < (isCold ? DAY_PLAN.beforeWideCold : DAY_PLAN.beforeWide);
}
