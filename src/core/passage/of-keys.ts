import type { Side } from "../hand/finger";
import { pitch } from "../keyboard/pitch";
import { add, beats, ZERO } from "../time/beats";
import type { Note, NoteId } from "./note";
import type { Passage } from "./passage";

/**
 * A passage on one staff from bare key numbers, all of one length in quarter notes ("1/4"); an inner list
 * is a chord. For tables of cases, measuring and trying out.
 * @throws RangeError for a key that is not one of the 88
 */
export function passageOfKeys(keys: readonly (number | readonly number[])[], length: string, side: Side): Passage {
  const duration = beats(length);
  let onset = ZERO;
  const notes: Note[] = [];
  keys.forEach((entry, place) => {
    for (const [order, key] of [entry].flat().entries()) {
      const id = `b1-s1-v1-n${place + 1}${order === 0 ? "" : `-${order + 1}`}` as NoteId;
      notes.push({
        id,
        tied: [],
        pitch: pitch(key),
        staff: 1,
        voice: "1",
        onset,
        duration,
        grace: 0,
        bar: "1",
        beat: onset,
        printed: null,
      });
    }
    onset = add(onset, duration);
  });
  return { notes, hands: side, staves: 1 };
}
