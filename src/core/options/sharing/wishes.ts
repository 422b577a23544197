import type { NoteId } from "../../passage/note";
import { times } from "../leanings/leaning";
import { LEAPS_FOR, type Weights } from "../../fingering/cost/weights";

/** Which notes the other hand may take. */
export const ALLOWED = ["none", "marked", "all"] as const;
/** What the player finds easier: fewer leaps and more finger work, or more leaps and less of it. */
export const EASIER = ["finger-work", "even", "leaps"] as const;

/** How the player lets notes be shared out between the hands. */
export interface SharingWishes {
  readonly allowed: (typeof ALLOWED)[number];
  /** Notes that may change hands where only marked ones may. */
  readonly marked?: readonly NoteId[];
  readonly easier?: (typeof EASIER)[number];
  /** Whether one hand may reach past where the other plays or last played. */
  readonly crossing?: boolean;
}

/** The weights by which hands are shared out: leaps against finger work. */
export function sharingWeights(plain: Weights, { easier = "even" }: SharingWishes): Weights {
  const factor = LEAPS_FOR[easier];
  return times(plain, { carry: factor, shortfall: factor });
}
