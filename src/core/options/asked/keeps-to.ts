import type { Finger } from "../../hand/finger";
import { isBlack } from "../../keyboard/pitch";
import type { Conditions } from "../../fingering/search/conditions";
import type { Fingering } from "../../fingering/study/fingering";
import { tasksOf, type Study } from "../../fingering/study/study";

/** Whether a fingering keeps to some conditions; notes to be held aside, which only a search can tell. */
export function keepsTo(study: Study, conditions: Conditions, fingering: Fingering): boolean {
  const { pins = {}, ruledOut = {}, noThumbOnBlack = false, noFourthAndFifth = false, bonds = [] } = conditions;
  const keepsNotes = tasksOf(study).every(({ line: { strokes, onsets } }) => {
    const fingerOf = ({ notes }: (typeof strokes)[number]): Finger | null => fingering[notes[0]!] ?? null;
    const keepsStrokes = strokes.every((stroke) => {
      const finger = fingerOf(stroke);
      const [id] = stroke.notes;
      if (pins[id!]) return finger === pins[id!];
      if (finger === null) return true;
      return !(ruledOut[id!] ?? []).includes(finger) && !(noThumbOnBlack && finger === 1 && isBlack(stroke.key));
    });
    const single = onsets.map(({ struck }) => (struck.length === 1 ? fingerOf(struck[0]!) : null));
    const hasWeakPair = single.some((finger, i) => i > 0 && isFourthAndFifth(single[i - 1]!, finger));
    return keepsStrokes && !(noFourthAndFifth && hasWeakPair);
  });
  return keepsNotes && bonds.every((bond) => new Set(bond.map((id) => fingering[id] ?? 0).filter(Boolean)).size <= 1);
}

function isFourthAndFifth(a: Finger | null, b: Finger | null): boolean {
  return (a === 4 && b === 5) || (a === 5 && b === 4);
}
