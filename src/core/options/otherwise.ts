import type { Finger } from "../hand/finger";
import { isBlack } from "../keyboard/pitch";
import { positionsOf } from "../fingering/explain/positions";
import type { Conditions } from "../fingering/search/conditions";
import type { Fingering } from "../fingering/study/fingering";
import type { Study } from "../fingering/study/study";
import { playedNotes } from "../passage/passage";
import { OFFER } from "../physics";
import type { NoteId } from "../passage/note";

/**
 * Ways to ask for a passage to be fingered otherwise than it is: with the hand set anew at other places, one after
 * another, and without the thumb on black keys. Each is more than the player asked, never less.
 */
export function askedOtherwise(study: Study, given: Fingering, asked: Conditions): readonly Conditions[] {
  const black = new Set(playedNotes(study.passage).flatMap(({ id, pitch }) => (isBlack(pitch) ? [id] : [])));
  const thumbOnBlack = Object.entries(given).some(([id, finger]) => finger === 1 && black.has(id as NoteId));
  const joins = positionsOf(study, given).flatMap(({ join, notes }) => (join && notes[0] ? [notes[0]] : []));
  const elsewhere = spread(joins, OFFER.placesTried).flatMap((note): Conditions[] => {
    const finger = given[note];
    if (!finger || asked.pins?.[note]) return [];
    return [
      { ...asked, ruledOut: { ...asked.ruledOut, [note]: [...(asked.ruledOut?.[note] ?? []), finger as Finger] } },
    ];
  });
  return [...(thumbOnBlack ? [{ ...asked, noThumbOnBlack: true }] : []), ...elsewhere];
}

/** At most so many of a list, evenly spread. */
function spread<T>(list: readonly T[], most: number): readonly T[] {
  if (list.length <= most) return list;
  return Array.from({ length: most }, (_, i) => list[Math.floor((i * list.length) / most)]!);
}
