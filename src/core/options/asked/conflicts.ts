import { FINGERS } from "../../hand/finger";
import type { NoteId } from "../../passage/note";
import { placeText } from "../../passage/place";
import type { Conditions } from "../../fingering/search/conditions";
import type { Lattice } from "../../fingering/search/lattice";
import { keepsPins, keepsToAllowed, termsOf } from "../../fingering/search/terms";
import { latticesOf, type Study } from "../../fingering/study/study";

/** Conditions on one moment that cannot all be kept. */
export interface Conflict {
  /** The notes whose conditions conflict, lowest first. */
  readonly notes: readonly NoteId[];
  /** What is wrong and what is done about it, in a sentence. */
  readonly words: string;
}

/**
 * The pins and rule-outs that no fingering can keep: pins on a resting finger, on one finger twice, in no natural
 * order or out of reach together, and notes from which every finger is ruled out. Pins are kept all the same, and
 * what is ruled out gives way.
 */
export function conflictsOf(study: Study, conditions: Conditions, lattices = latticesOf(study)): readonly Conflict[] {
  return lattices.flatMap((lattice) => conflictsIn(lattice, study, conditions));
}

function conflictsIn(lattice: Lattice, { passage, hands }: Study, conditions: Conditions): readonly Conflict[] {
  const { line } = lattice.task;
  const terms = termsOf(line, conditions);
  const { resting } = hands[line.side];
  return line.onsets.flatMap((onset): Conflict[] => {
    const pinned = onset.struck.filter((s) => terms.pins[s.index] !== 0);
    const asked = onset.struck.filter((s) => terms.ruledOut[s.index] !== 0);
    if (pinned.length === 0 && asked.length === 0) return [];
    const first = passage.notes.find(({ id }) => id === onset.struck[0]!.notes[0])!;
    const where = placeText(first.bar, first.beat);
    const { candidates } = lattice.layer(onset.index);
    const open = candidates.filter((c) => keepsPins(terms, c));
    if (open.length === 0) {
      const fingers = pinned.map((s) => terms.pins[s.index]!);
      return [{ notes: idsOf(pinned), words: `At ${where}, ${whyNot(fingers, resting)}. It is kept as pinned.` }];
    }
    if (open.some((c) => keepsToAllowed(terms, c))) return [];
    const words = `At ${where}, what is ruled out leaves no finger that can play. It is set aside there.`;
    return [{ notes: idsOf(asked), words }];
  });
}

function idsOf(strokes: readonly { readonly notes: readonly NoteId[] }[]): readonly NoteId[] {
  return strokes.flatMap((s) => s.notes);
}

function whyNot(fingers: readonly number[], resting: readonly number[]): string {
  const rest = fingers.find((finger) => resting.includes(finger));
  if (rest !== undefined) return `finger ${rest} is pinned and is resting`;
  const twice = FINGERS.find((finger) => fingers.filter((f) => f === finger).length > 1);
  if (twice !== undefined) return `finger ${twice} is pinned to more than one key`;
  if (fingers.length === 1) return `finger ${fingers[0]} is pinned where it cannot play with the other notes`;
  return `fingers ${fingers.join(", ")} as pinned cannot play together`;
}
