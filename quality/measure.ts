import { bestFingerings, notesAsked, type Study } from "@/core/fingering/study";
import { WEIGHTS, type Weights } from "@/core/fingering/cost/weights";
import { handOfRulerSpan } from "@/core/hand/hand";
import { FULL_SIZE } from "@/core/keyboard/instrument";
import { passageOfKeys } from "@/core/passage/of-keys";
import { QUALITY_RULER_SPAN, QUALITY_TEMPO, type QualityCase } from "./cases";

export interface Agreement {
  readonly name: string;
  readonly ours: string;
  readonly nearest: string;
  readonly agreed: number;
  readonly graded: number;
}

/** How far the engine agrees with a case's accepted fingering that agrees best. */
export function agreement(given: QualityCase, weights: Weights = WEIGHTS): Agreement {
  const study: Study = {
    passage: passageOfKeys(given.keys, "1/4", given.side),
    hands: { right: handOfRulerSpan("right", QUALITY_RULER_SPAN), left: handOfRulerSpan("left", QUALITY_RULER_SPAN) },
    instrument: FULL_SIZE,
    manner: { tempo: QUALITY_TEMPO, touch: "legato", pedal: false },
    weights,
  };
  const [best] = bestFingerings(study, {}, 1);
  const ours = notesAsked(study).map((id) => best![id] ?? 0);
  let [nearest, agreed] = [given.accepted[0]!, -1];
  for (const accepted of given.accepted) {
    const count = given.graded.filter((i) => accepted[i] === ours[i]).length;
    if (count > agreed) [nearest, agreed] = [accepted, count];
  }
  return { name: given.name, ours: ours.join(""), nearest: nearest.join(""), agreed, graded: given.graded.length };
}

export interface Summary {
  readonly notes: number;
  readonly graded: number;
  readonly whole: number;
  readonly cases: number;
}

export function summary(all: readonly Agreement[]): Summary {
  return {
    notes: all.reduce((sum, a) => sum + a.agreed, 0),
    graded: all.reduce((sum, a) => sum + a.graded, 0),
    whole: all.filter((a) => a.agreed === a.graded).length,
    cases: all.length,
  };
}
