import { isOnKeyboard, type Pitch } from "../../keyboard/pitch";
import { DRILL } from "../../physics";
import { beats } from "../../time/beats";
import { STOP_ALWAYS, type DrillKind } from "../drill";
import type { DrillEvent } from "../music";
import { placeOf, TIME } from "./shared";
import type { SourceOnset } from "../source";

const QUARTER = beats(1);

/** A chord held while one finger after another goes to the key beside its own and back: the others learn to let go. */
export const loosened: DrillKind = {
  id: "loosened",
  name: "Loosening a chord",
  against: ["opening", "holding", "held-open", "held-note"],
  pace: "slow",
  make: (source) =>
    widestChords(source.onsets).map((onset) => {
      const moves = onset.keys.map((_, i) => moved(onset, i));
      return {
        id: `loosened ${onset.index}`,
        kind: "loosened",
        name: `Loosen the chord in ${placeOf(source, onset.index)}`,
        attacks: "a hand that sets round a chord: one finger moves, the others only lie there",
        done: "every finger goes and comes back without another stirring",
        stop: `after once through each finger, or ${STOP_ALWAYS}`,
        about: { from: onset.index, to: onset.index },
        music: {
          time: TIME,
          tempo: source.tempo * DRILL.warmTempo,
          words: "soft",
          hands: [
            { side: source.side, events: moves.flatMap(({ moving }) => moving) },
            { side: source.side, isUnder: true, events: moves.map(({ held }) => held) },
          ],
        },
      };
    }),
};

/** One finger of a chord to the key beside it, inwards so that the hand opens no wider, and back, above what is held. */
function moved(
  { keys }: SourceOnset,
  i: number,
): { readonly moving: readonly DrillEvent[]; readonly held: DrillEvent } {
  const own = keys[i]!;
  const others = keys.filter((_, k) => k !== i);
  const inwards = i === keys.length - 1 ? -1 : 1;
  const beside = [inwards, -inwards]
    .map((by) => (own.key + by) as Pitch)
    .find((key) => isOnKeyboard(key) && !others.some((other) => other.key === key));
  const away = beside === undefined ? own : { ...own, key: beside };
  return {
    moving: [own, away, own, own].map((one) => ({ keys: [one], length: QUARTER })),
    held: { keys: others, length: beats(4) },
  };
}

/** Chords of three fingers or more that open widest, in the order of the passage, each shape once. */
function widestChords(onsets: readonly SourceOnset[]): readonly SourceOnset[] {
  const shapes = new Map<string, SourceOnset>();
  for (const onset of onsets) {
    const fingers = new Set(onset.keys.flatMap(({ finger }) => finger ?? []));
    // A key that no finger of this hand holds, or that shares one, leaves nothing to loosen.
    if (onset.keys.length < 3 || fingers.size < onset.keys.length) continue;
    const shape = onset.keys.map(({ key }) => key).join(" ");
    if (!shapes.has(shape)) shapes.set(shape, onset);
  }
  const opening = ({ keys }: SourceOnset): number => keys.at(-1)!.key - keys[0]!.key;
  return [...shapes.values()]
    .sort((a, b) => opening(b) - opening(a))
    .slice(0, DRILL.loosened)
    .sort((a, b) => a.index - b.index);
}
