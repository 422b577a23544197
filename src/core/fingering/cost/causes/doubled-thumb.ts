import type { Cause } from "../cause";

/** The thumb lying across two neighbouring white keys. */
export const doubledThumb: Cause = {
  id: "doubled-thumb",
  label: "thumb on two keys",
  unit: "notes",
  frames: 1,
  source: "A choice: common practice in full chords, less sure than a finger a key.",
  find({ now, weights }, tell) {
    const [first, second] = now.struck;
    if (first?.finger === 1 && second?.finger === 1) tell(second.stroke, 1, weights.doubledThumb, second, first);
  },
  spared: () => "the thumb strikes one key only",
  say: () => "the thumb strikes two keys at once",
};
