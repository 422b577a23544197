import type { Conditions } from "../fingering/search/conditions";
import { compareFingerings } from "../fingering/explain/compare";
import type { Fingering } from "../fingering/study/fingering";
import { leaningConditions, leaningStudy } from "./leaning-study";
import { LEANINGS, type LeaningId } from "./leanings";
import type { Progress } from "../fingering/search/search";
import { judge, latticesOf, solving, type Judged, type Study } from "../fingering/study/study";
import { layOf } from "./worth-showing";

/** A fingering worth showing, with the leaning that found it first. */
export interface Offer {
  readonly leaning: LeaningId;
  readonly fingering: Fingering;
  readonly judged: Judged;
  /** Against the first: where it differs, what it gains and what it costs. For the first, what it is. */
  readonly sentence: string;
}

/** How many of the best of the balanced leaning are looked through. */
const LOOKED_THROUGH = 40;

/** What is worth showing strains at most so many times as much as the best, and a little more. A choice. */
const MOST_TIMES = 1.5;
const MOST_MORE = 3;

/**
 * Up to `most` fingerings worth showing, the balanced best first, then the best of each other leaning, then the next
 * best of the balanced one; each differs from all before it as worth-showing has it, and none strains much more than
 * the best. All are judged by the plain weights. A generator: it yields as it goes, so that it can be stopped.
 */
export function* offering(study: Study, conditions: Conditions, most: number): Generator<Progress, readonly Offer[]> {
  const lies = layOf(study);
  const seen = new Set<string>();
  const offers: Offer[] = [];
  let best: readonly Fingering[] = [];
  for (const leaning of LEANINGS) {
    if (offers.length === most) return offers;
    const isFirst = offers.length === 0;
    const leant = leaningStudy(study, leaning);
    const asked = leaningConditions(leant, leaning, conditions);
    const solved = yield* solving(latticesOf(leant), asked, isFirst ? LOOKED_THROUGH : 1);
    if (isFirst) best = solved.map((s) => s.fingering);
    offer(leaning.id as LeaningId, solved[0]!.fingering);
  }
  for (const fingering of best) if (offers.length < most) offer("balanced", fingering);
  return offers;

  function offer(leaning: LeaningId, fingering: Fingering): void {
    const lay = lies(fingering);
    if (seen.has(lay)) return;
    const judged = judge(study, fingering);
    const first = offers[0]?.judged;
    if (first && judged.strain > first.strain * MOST_TIMES + MOST_MORE) return;
    seen.add(lay);
    const sentence = first ? compareFingerings(study, judged, first).sentence : "The least strain in all.";
    offers.push({ leaning, fingering, judged, sentence });
  }
}
