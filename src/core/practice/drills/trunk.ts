import { isOnKeyboard, type Pitch } from "../../keyboard/pitch";
import { DRILL } from "../../physics";
import { STOP_ALWAYS, type DrillKind } from "../drill";
import { asWritten, part, placeOf, oneHand, toTheBar } from "./shared";

const OCTAVE = 12;

/** The first position of a passage over several octaves, up and down: the trunk goes with the arm. */
export const trunk: DrillKind = {
  id: "trunk",
  name: "Over four octaves with the trunk",
  against: ["carry", "in-out", "outer-on-black"],
  pace: "slow",
  make(source) {
    const [first] = source.positions;
    if (!first || first.to === first.from) return [];
    const figure = asWritten(part(source, first.from, first.to));
    const keys = figure.flatMap((event) => event.keys.map(({ key }) => key));
    const fits = (by: number): boolean => keys.every((key) => isOnKeyboard(key + by));
    const octaves = Array.from({ length: 15 }, (_, i) => (i - 7) * OCTAVE).filter(fits);
    if (octaves.length < DRILL.trunkOctaves) return [];
    const start = Math.max(0, Math.min(octaves.indexOf(0), octaves.length - DRILL.trunkOctaves));
    const up = octaves.slice(start, start + DRILL.trunkOctaves);
    const there = [...up, ...up.toReversed().slice(1)];
    const events = there.flatMap((by) =>
      figure.map(({ keys: own, length }) => ({
        keys: own.map((one) => ({ ...one, key: (one.key + by) as Pitch })),
        length,
      })),
    );
    return [
      {
        id: "trunk",
        kind: "trunk",
        name: `The figure of ${placeOf(source, first.from)} over four octaves and back`,
        attacks: "a body that stays where it is while the arm goes far",
        done: "the shoulder is as low at the far end as in the middle",
        stop: `after three times through, or ${STOP_ALWAYS}`,
        about: { from: first.from, to: first.to },
        music: oneHand(source, toTheBar(events), "the trunk goes along"),
      },
    ];
  },
};
