import { OFFER } from "../../physics";
import { openingsAt } from "../../fingering/explain/openings";
import { framesOf } from "../../fingering/cost/price";
import { digitsOf } from "../../fingering/search/terms";
import { tasksOf } from "../../fingering/study/study";
import { WHITE_INTERVALS } from "../../keyboard/interval";
import { whiteWidth } from "../../keyboard/geometry";
import type { Idea } from "./idea";

/** How wide the hand opens, in white keys from the lower to the upper. */
export const openings: Idea = {
  id: "openings",
  amount({ study, judged }) {
    let widest = 0;
    for (const task of tasksOf(study)) {
      const frames = framesOf(task, digitsOf(task.line, judged.fingering));
      frames.forEach((now, i) => {
        for (const { mm } of openingsAt(task, frames[i - 1] ?? null, now)) widest = Math.max(widest, mm);
      });
    }
    return Math.round(widest / whiteWidth(study.instrument));
  },
  least: OFFER.ideaLeast.openings,
  say: (keys) =>
    keys < 1 ? "the hand stays closed" : `opens to ${articled(WHITE_INTERVALS[keys - 1] ?? "more than a twelfth")}`,
};

function articled(name: string): string {
  return name.startsWith("more") ? name : `${/^[aeo]/.test(name) ? "an" : "a"} ${name}`;
}
