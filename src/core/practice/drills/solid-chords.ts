import type { Beats } from "../../time/beats";
import { beats, multiply } from "../../time/beats";
import { STOP_ALWAYS, type Drill, type DrillKind } from "../drill";
import { lengthOf, type Source } from "../source";
import { part, TIME, together } from "./shared";

/** Keys of a position that a hand strikes at once: one finger strikes one of them. */
function chordsOf(source: Source, times: Beats, kind: string, name: string, attacks: string): readonly Drill[] {
  if (source.positions.length < 2) return [];
  const events = source.positions.map(({ from, to }) => {
    const onsets = part(source, from, to);
    const seen = new Set<number | null>();
    const keys = together(onsets).filter(({ finger }) => !seen.has(finger) && seen.add(finger));
    return { keys, length: multiply(lengthOf(onsets), times) };
  });
  return [
    {
      id: kind,
      kind,
      name,
      attacks,
      done: "every chord is there at once, with no finger feeling for its key",
      stop: `after five times through, or ${STOP_ALWAYS}`,
      about: { from: 0, to: source.onsets.length - 1 },
      music: { time: TIME, tempo: source.tempo, hands: [{ side: source.side, events }] },
    },
  ];
}

/** Each position as one solid chord for as long as it lasts, the hand going to the next at once. */
export const solidChords: DrillKind = {
  id: "solid-chords",
  name: "Solid chords",
  against: ["position", "carry", "shortfall", "thumb-pass", "line-broken"],
  pace: "slow",
  make: (source) =>
    chordsOf(
      source,
      beats(1),
      "solid-chords",
      "Positions as solid chords",
      "where the hand goes next, and the instant of going",
    ),
};

/** The same chords at half the values. */
export const solidChordsQuicker: DrillKind = {
  id: "solid-chords-half",
  name: "Solid chords at half the values",
  against: ["shortfall", "carry", "speed"],
  pace: "quick",
  make: (source) =>
    chordsOf(
      source,
      beats("1/2"),
      "solid-chords-half",
      "Solid chords, twice as fast",
      "the same moves with half the time",
    ),
};
