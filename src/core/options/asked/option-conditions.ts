import { bondsOfTies } from "../../figures/chosen";
import type { Figure } from "../../figures/figure";
import type { Conditions, RuledOut } from "../../fingering/search/conditions";
import { WEIGHTS } from "../../fingering/cost/weights";
import type { Fingering, Pins } from "../../fingering/study/fingering";
import { leaningConditions } from "../leaning-study";
import type { Leaning } from "../leanings/leaning";
import type { Study } from "../../fingering/study/study";
import type { FingeringWishes } from "./wishes";

/** What one option asks for itself. */
export interface OptionAsked {
  readonly pins: Pins;
  readonly ruledOut: RuledOut;
  /** As it stands; not given where there is none yet. */
  readonly digits?: Fingering;
}

/**
 * Everything an option is to keep to: its own pins and rule-outs, the passage's wishes, and the ties of both. One that is found by
 * asking otherwise keeps to its digits as well: each is worth what a note of a figure is to the memory.
 * @param figures those of the study, where they are known already
 */
export function optionConditions(
  study: Study,
  leaning: Leaning,
  { tying, ties = [], noThumbOnBlack, noFourthAndFifth }: FingeringWishes,
  { pins, ruledOut, digits }: OptionAsked,
  figures?: readonly Figure[],
): Conditions {
  const asked = { pins, ruledOut, noThumbOnBlack, noFourthAndFifth };
  const conditions = leaningConditions(study, leaning, asked, leaning.tying ?? tying, figures);
  const { memory } = study.weights ?? WEIGHTS;
  const standing = leaning.keepsDigits && digits ? { standing: { digits, worth: memory } } : {};
  return { ...conditions, ...standing, bonds: bondsOfTies(ties) };
}
