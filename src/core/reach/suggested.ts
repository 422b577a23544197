import type { Finger } from "../hand/finger";
import type { NoteId } from "../passage/note";
import type { NoteRemedies, NoteRemedy } from "../passage/remedied";
import { notesAsked, type Study } from "../fingering/study/study";
import type { Fingering } from "../fingering/study/fingering";
import type { Allowances } from "./allowances";
import { remediesAt } from "./moment";
import { remediesFor } from "./remedies-for";

/** What the best remedies make of the notes that no finger reaches, before the player has chosen any. */
export interface Suggested {
  /** Fingers of notes that have none as written. */
  readonly fingers: Readonly<Record<NoteId, Finger>>;
  readonly remedies: NoteRemedies;
}

/**
 * For every moment at which a fingering leaves notes to no finger, the remedy that loses least of what the player allows,
 * with the fingers it gives those notes. Moments for which a remedy is chosen already are left as they are. A generator:
 * it can be stopped between moments.
 */
export function* suggesting(study: Study, given: Fingering, allows: Allowances): Generator<void, Suggested> {
  const fingers: Record<NoteId, Finger> = {};
  const remedies: Record<NoteId, NoteRemedy> = {};
  const seen = new Set<NoteId>();
  for (const note of notesAsked(study)) {
    if (given[note] || seen.has(note) || Object.keys(remediesAt(study.passage, note)).length > 0) continue;
    const [best] = remediesFor(study, note, allows);
    yield;
    if (!best) continue;
    for (const [id, remedy] of Object.entries(best.notes) as [NoteId, NoteRemedy][]) {
      seen.add(id);
      remedies[id] = remedy;
    }
    for (const [id, finger] of Object.entries(best.fingering) as [NoteId, Finger | null][])
      if (finger && !given[id] && id in given) fingers[id] = finger;
  }
  return { fingers, remedies };
}
