import type { Side } from "../../hand/finger";
import { isOnKeyboard, pitchClass, type Pitch } from "../../keyboard/pitch";
import { STOP_ALWAYS, type Drill, type DrillKind } from "../drill";
import type { Source, SourceOnset } from "../source";
import { TIME } from "./shared";

const [D, A_FLAT] = [2, 8] as const;
const OCTAVE = 12;

/** The same fingers in the other hand, every key reflected about a D or an A flat, which leaves black keys black. */
export const mirror: DrillKind = {
  id: "mirror",
  name: "The mirror",
  against: ["weak-finger", "alternation", "thumb-pass"],
  pace: "slow",
  make(source): readonly Drill[] {
    const reflected = mirroredOnsets(source);
    if (!reflected) return [];
    const other: Side = source.side === "right" ? "left" : "right";
    return [
      {
        id: "mirror",
        kind: "mirror",
        name: "Both hands in the mirror",
        attacks: "what this hand finds hard: the other does the same, and shows or learns it",
        done: "both hands alike in ease and evenness",
        stop: `after three times through, or ${STOP_ALWAYS}`,
        about: { from: 0, to: source.onsets.length - 1 },
        music: {
          time: TIME,
          tempo: source.tempo,
          hands: [
            { side: source.side, events: source.onsets.map(({ keys, length }) => ({ keys, length })) },
            { side: other, events: reflected },
          ],
        },
      },
    ];
  },
};

/**
 * What the other hand plays: reflected about the D or A flat that brings it nearest to its own half, moved by octaves where
 * it would leave the keyboard or meet the hand it mirrors. null where no octave does.
 */
function mirroredOnsets({
  side,
  onsets,
}: Source): readonly { keys: SourceOnset["keys"]; length: SourceOnset["length"] }[] | null {
  const keys = onsets.flatMap((onset) => onset.keys.map(({ key }) => key as number));
  if (keys.length === 0) return null;
  const [low, high] = [Math.min(...keys), Math.max(...keys)];
  const towards = side === "right" ? low : high;
  const centres = Array.from({ length: 88 + 24 }, (_, i) => i + 9)
    .filter((key) => pitchClass(key as Pitch) === D || pitchClass(key as Pitch) === A_FLAT)
    .sort((a, b) => Math.abs(a - towards) - Math.abs(b - towards));
  for (const centre of centres)
    for (const octaves of [0, -1, 1, -2, 2]) {
      const by = 2 * centre + OCTAVE * octaves;
      const [least, most] = [by - high, by - low];
      const isClear = side === "right" ? most < low : least > high;
      if (isClear && isOnKeyboard(least) && isOnKeyboard(most))
        return onsets.map(({ keys: own, length }) => ({
          keys: own.map((one) => ({ ...one, key: (by - one.key) as Pitch })).sort((a, b) => a.key - b.key),
          length,
        }));
    }
  return null;
}
