import { chromatic } from "./chromatic";
import { diatonic } from "./diatonic";
import { exact } from "./exact";
import { inverted } from "./inverted";
import { mirrored } from "./mirrored";
import { octave } from "./octave";
import type { Relation } from "./relation";

/** From the closest to the most distant: what fits several counts as the first. */
export const RELATIONS = [
  exact,
  octave,
  chromatic,
  diatonic,
  mirrored,
  inverted,
] as const satisfies readonly Relation[];

export type RelationName = (typeof RELATIONS)[number]["name"];

/** The relation of that name; each name has one. */
export function relationByName(name: RelationName): Relation {
  return RELATIONS.find((relation) => relation.name === name)!;
}
