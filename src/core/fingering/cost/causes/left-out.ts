import type { Cause } from "../cause";

/** A note of a chord that no finger can play together with the rest. */
export const leftOut: Cause = {
  id: "left-out",
  label: "note out of reach",
  unit: "notes",
  frames: 1,
  source:
    "A choice: above every strain of a chord that can be held, so that it is the last resort; outer notes are kept longest, and one that another octave doubles goes first.",
  find({ now, weights }, tell) {
    const notes = now.onset.struck;
    for (const stroke of now.leftOut) {
      const isOuter = stroke === notes[0] || stroke === notes[notes.length - 1];
      const isDoubled = notes.some((other) => other !== stroke && (other.key - stroke.key) % 12 === 0);
      const inner = isDoubled ? weights.leftOutDoubled : weights.leftOut;
      tell(stroke, 1, isOuter || stroke.tune ? weights.leftOutOuter : inner, null, null);
    }
  },
  spared: () => "a finger plays the note",
  say: () => "no finger can play this note with the others",
};
