import { counted } from "../../counted";
import { FINGERS, SIDES } from "../../hand/finger";
import type { NoteId } from "../../passage/note";
import { handsAsked } from "../../passage/passage";
import { holdKeys } from "../../placement/hold";
import { handsPlaying, tasksOf, type Study } from "../study/study";

/** Why no finger plays a note, in a sentence. */
export function reasonForNone(study: Study, note: NoteId): string {
  for (const { line, hand, placements } of tasksOf(study)) {
    const stroke = line.strokes.find((s) => s.notes.includes(note));
    if (!stroke) continue;
    const free = FINGERS.length - hand.resting.length;
    const chord = line.onsets[stroke.onset]!.struck;
    if (chord.length > free)
      return `The ${line.side} hand strikes ${counted(chord.length, "key")} here and has ${counted(free, "finger")}.`;
    const answer = holdKeys(
      chord.map((s) => s.key),
      placements,
    );
    const short = answer.kind === "out-of-reach" ? answer.nearest?.short : null;
    const by = short ? `: ${short.pair.join(" and ")} are ${Math.ceil(short.mm)} mm short` : "";
    return `The ${line.side} hand cannot hold these keys together${by}.`;
  }
  const side = SIDES.find((of) => handsAsked(study.passage).includes(of) && !handsPlaying(study).includes(of));
  return side ? `Every finger of the ${side} hand is resting.` : "Neither hand is asked to play this note.";
}
