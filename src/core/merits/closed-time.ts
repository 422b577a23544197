import { strainOfOpening } from "../hand/limits";
import type { Frame } from "../fingering/frames/frame";
import type { Task } from "../fingering/study/task";
import type { Merit } from "./merit";
import { openingsAt } from "../fingering/explain/openings";
import { COMFORT } from "../physics";

/**
 * Share of the time, in hundredths, in which the hand is closed: no two fingers that are down together, or that come
 * one after the other bound, open more than half of the way from relaxed to the comfortable limit. The time of an onset lasts to the next; that of the last is left out.
 */
export const closedTime: Merit = {
  id: "closed-time",
  label: "Time with the hand closed",
  better: "more",
  find({ hands }) {
    let [closed, all] = [0, 0];
    for (const { task, frames } of hands)
      frames.forEach((now, i) => {
        const next = frames[i + 1];
        if (!next) return;
        all += next.onset.gap;
        if (!isOpen(task, frames[i - 1] ?? null, now) && !isOpen(task, now, next)) closed += next.onset.gap;
      });
    return { amount: all === 0 ? 100 : (100 * closed) / all, where: null };
  },
  say: (amount) => `${Math.round(amount)} %`,
};

function isOpen(task: Task, before: Frame | null, now: Frame): boolean {
  return openingsAt(task, before, now).some(({ mm, limits }) => strainOfOpening(mm, limits) > COMFORT / 2);
}
