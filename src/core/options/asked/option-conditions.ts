import { bondsOfTies } from "../../figures/chosen";
import type { Figure } from "../../figures/figure";
import type { Conditions, RuledOut } from "../../fingering/search/conditions";
import type { Pins } from "../../fingering/study/fingering";
import { leaningConditions } from "../leaning-study";
import type { Leaning } from "../leanings/leaning";
import type { Study } from "../../fingering/study/study";
import type { FingeringWishes } from "./wishes";

/** What one option asks for itself. */
export interface OptionAsked {
  readonly pins: Pins;
  readonly ruledOut: RuledOut;
}

/**
 * Everything an option is to keep to: its own pins and rule-outs, the passage's wishes, and the ties of both.
 * @param figures those of the study, where they are known already
 */
export function optionConditions(
  study: Study,
  leaning: Leaning,
  { tying, ties = [], noThumbOnBlack, noFourthAndFifth }: FingeringWishes,
  { pins, ruledOut }: OptionAsked,
  figures?: readonly Figure[],
): Conditions {
  const asked = { pins, ruledOut, noThumbOnBlack, noFourthAndFifth };
  const conditions = leaningConditions(study, leaning, asked, leaning.tying ?? tying, figures);
  return { ...conditions, bonds: bondsOfTies(ties) };
}
