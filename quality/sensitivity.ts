import { WEIGHTS, type Weights } from "@/core/fingering/cost/weights";
import { answered, gradedBy } from "./grade";
import { casesOf } from "./kind";
import { multiplied } from "./ranges";

/** What a changed weight does to the invented cases. */
interface Effect {
  /** Onsets of 100 that are fingered otherwise. */
  readonly changed: number;
  /** Cases that are right as a whole. */
  readonly whole: number;
}

export interface Sensitivity {
  readonly name: string;
  readonly halved: Effect;
  readonly doubled: Effect;
}

/** Every weight, calibrated or a choice, halved and doubled by itself. */
export function sensitivity(): readonly Sensitivity[] {
  const cases = casesOf("kinds");
  const plain = cases.map((given) => answered(given, true));
  const effect = (weights: Weights): Effect => {
    let [changed, onsets, whole] = [0, 0, 0];
    cases.forEach((given, i) => {
      const found = answered(given, true, weights);
      onsets += found.length;
      changed += found.filter((at, o) => at.fingers.join() !== plain[i]![o]!.fingers.join()).length;
      const { agreed, graded } = gradedBy(given, found);
      if (agreed === graded) whole++;
    });
    return { changed: (100 * changed) / onsets, whole };
  };
  return (Object.keys(WEIGHTS) as (keyof Weights)[]).map((name) => ({
    name,
    halved: effect(multiplied(WEIGHTS, name, 0.5)),
    doubled: effect(multiplied(WEIGHTS, name, 2)),
  }));
}
