import { beats, type Beats } from "../../time/beats";
import { STOP_ALWAYS, type Drill, type DrillKind } from "../drill";
import type { Source } from "../source";
import { each, TIME } from "./shared";

const [LONG, SHORT] = [beats("3/8"), beats("1/8")];
const [HELD, QUICK] = [beats(1), beats("1/4")];

/** A rhythm by the place of a note: how long it is. */
interface Rhythm {
  readonly id: string;
  readonly name: string;
  readonly length: (i: number) => Beats;
}

const FOURS = [0, 1, 2, 3] as const;

const RHYTHMS: readonly Rhythm[] = [
  { id: "long-short", name: "long, short", length: (i) => (i % 2 === 0 ? LONG : SHORT) },
  { id: "short-long", name: "short, long", length: (i) => (i % 2 === 0 ? SHORT : LONG) },
  { id: "triplets", name: "in triplets", length: () => beats("1/3") },
  ...FOURS.map((place): Rhythm => ({
    id: `long-${place + 1}`,
    name: `note ${place + 1} of four long`,
    length: (i) => (i % 4 === place ? HELD : QUICK),
  })),
];

/** The notes in other rhythms: every one of them is waited on in turn, and every step between two is quick in turn. */
export const rhythms: DrillKind = {
  id: "rhythms",
  name: "Rhythms",
  against: ["alternation", "weak-finger", "speed"],
  pace: "slow",
  make: (source: Source) =>
    RHYTHMS.flatMap(({ id, name, length }): Drill[] =>
      source.onsets.length < 4
        ? []
        : [
            {
              id: `rhythms ${id}`,
              kind: "rhythms",
              name: `Rhythm: ${name}`,
              attacks: "unevenness: each step between two notes is made quickly in turn",
              done: "as even as the plain notes, and these more even after it",
              stop: `after three times through, or ${STOP_ALWAYS}`,
              about: { from: 0, to: source.onsets.length - 1 },
              music: {
                time: TIME,
                tempo: source.tempo,
                hands: [{ side: source.side, events: each(source.onsets, length) }],
              },
            },
          ],
    ),
};
