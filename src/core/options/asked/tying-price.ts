import type { NoteId } from "../../passage/note";
import { byNoteDifference } from "../../fingering/explain/compare";
import type { Solved, Study } from "../../fingering/study/study";
import { judge } from "../../fingering/study/study";

/** What it costs that figures keep their fingers. */
export interface TyingPrice {
  /** Mean strain that the ties add. */
  readonly by: number;
  /** The note on which most of it falls, and how much; null where the ties cost nothing. */
  readonly where: { readonly note: NoteId; readonly by: number } | null;
  /** Whether no better fingering keeps the ties. */
  readonly exact: boolean;
}

/**
 * What the ties of a passage cost: the mean strain they add, and the note on which most of it falls.
 * @param tied the best with the ties
 * @param free the best without
 */
export function tyingPrice(study: Study, tied: Solved, free: Solved): TyingPrice {
  const [kept, loose] = [judge(study, tied.fingering), judge(study, free.fingering)];
  const [most] = [...byNoteDifference(kept, loose)].sort((a, b) => b.by - a.by);
  return { by: kept.strain - loose.strain, where: most && most.by > 0 ? most : null, exact: tied.exact };
}
