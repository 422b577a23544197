import { drain } from "../drain";
import type { Figure } from "../figures/figure";
import { figuresOf } from "../figures/find";
import { staysOf } from "../figures/stays";
import { staysAlong } from "../figures/stays-along";
import { struckAgainRemembered } from "../figures/struck-again";
import { memoriesOf } from "../figures/ties";
import { waysBackRemembered } from "../figures/ways-back";
import { brokenRemembered } from "../figures/broken-beside";
import { parallelChordsRemembered } from "../figures/parallel-chords";
import { widePairsRemembered } from "../figures/wide-pairs";
import type { Tying } from "../figures/tying";
import { WEIGHTS } from "../fingering/cost/weights";
import type { Conditions } from "../fingering/search/conditions";
import type { Leaning } from "./leanings/leaning";
import type { Progress } from "../fingering/search/search";
import { latticesOf, solving, type Solved, type Study } from "../fingering/study/study";

/** The study as a leaning searches it: other weights, and its manner of playing. */
export function leaningStudy(study: Study, leaning: Leaning): Study {
  return {
    ...study,
    manner: { ...study.manner, ...leaning.manner },
    weights: leaning.weigh(study.weights ?? WEIGHTS),
  };
}

/**
 * What the player asks, with the ties of a leaning; those the player has made come first.
 * @param figures those of the study, where they are known already
 */
export function leaningConditions(
  study: Study,
  leaning: Leaning,
  conditions: Conditions,
  tying?: Tying,
  figures?: readonly Figure[],
): Conditions {
  if (conditions.memories !== undefined) return conditions;
  const asked = tying ?? leaning.tying ?? "alike";
  const known = figures ?? figuresOf(study);
  if (asked === "none") return untied(study, conditions, known);
  const stays = staysOf(study, known, asked);
  return {
    ...conditions,
    memories: [
      ...memoriesOf(study, known, asked),
      ...waysBackRemembered(study, asked),
      ...struckAgainRemembered(study, asked),
      ...widePairsRemembered(study, asked),
      ...parallelChordsRemembered(study, asked),
      ...brokenRemembered(study, asked),
    ],
    stays: [...stays, ...staysAlong(study, known, stays, asked)],
  };
}

/** What the player asks, with nothing kept for the memory: what returns decides only between fingerings that strain alike. */
export function untied(study: Study, conditions: Conditions, figures: readonly Figure[]): Conditions {
  return { ...conditions, memories: [], stays: [], settling: memoriesOf(study, figures, "alike") };
}

/** The k best by a leaning, best first, its totals in its own weights. */
export function* solvingLeaning(
  study: Study,
  leaning: Leaning,
  conditions: Conditions,
  k: number,
): Generator<Progress, readonly Solved[]> {
  const leant = leaningStudy(study, leaning);
  return yield* solving(latticesOf(leant), leaningConditions(leant, leaning, conditions), k);
}

/** The k best fingerings of a study with a leaning, least strain first, at once. @throws what the search throws. */
export function bestLeaning(study: Study, leaning: Leaning, conditions: Conditions, k: number): readonly Solved[] {
  return drain(solvingLeaning(study, leaning, conditions, k));
}
