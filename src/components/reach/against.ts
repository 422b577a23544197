import { handOfMeasured } from "@/core/hand/measured";
import { instrument, isOctaveWidth } from "@/core/keyboard/instrument";
import { placementsOf, type Placements } from "@/core/placement/placements";
import type { HandsData } from "@/server/types";
import { dayText } from "../hands/dates";
import { HAND_NAMES } from "../hands/hand-form";

export const AGAINST_NONE = "nothing";

/** Octave widths in use besides the full-size one, mm. */
const OCTAVES = [164.5, 152, 140];

/** What a sheet can be held against, as in the address and as the player reads it. */
export function choicesAgainst({ measurements, instruments }: HandsData): readonly { value: string; text: string }[] {
  const widths = [...new Set([...instruments.map((i) => i.octaveWidth), ...OCTAVES])].filter(
    (w) => w !== instruments[0]!.octaveWidth,
  );
  return [
    { value: AGAINST_NONE, text: "nothing" },
    { value: "other-hand", text: "the other hand" },
    ...widths.map((width) => ({ value: `octave-${width}`, text: `an octave of ${width} mm` })),
    ...(["right", "left"] as const).flatMap((side) =>
      measurements[side].slice(1).map(({ id, measuredOn }) => ({
        value: id,
        text: `${HAND_NAMES[side].toLowerCase()}, ${dayText(measuredOn)}`,
      })),
    ),
  ];
}

/** The hand and keyboard a sheet is held against; null for nothing, for a measurement that is gone, and for what makes no sense. */
export function againstOf({ measurements }: HandsData, own: Placements, against: string): Placements | null {
  const { hand, instrument: on } = own;
  if (against === "other-hand") {
    const other = hand.side === "right" ? "left" : "right";
    return placementsOf(handOfMeasured(other, measurements[other][0]?.measured ?? {}), on);
  }
  if (against.startsWith("octave-")) {
    const width = Number(against.slice("octave-".length));
    return isOctaveWidth(width) ? placementsOf(hand, instrument(width)) : null;
  }
  const earlier = [...measurements.right, ...measurements.left].find((m) => m.id === against);
  return earlier ? placementsOf(handOfMeasured(earlier.side, earlier.measured), on) : null;
}
