import type { Mark } from "../../entry/entry";
import { STOP_ALWAYS, type Drill, type DrillKind } from "../drill";
import type { DrillEvent } from "../music";
import type { Source } from "../source";
import { all, oneHand } from "./shared";

/** A way to touch the same notes. */
interface TouchAsked {
  readonly id: string;
  readonly name: string;
  readonly words: string;
  readonly attacks: string;
  mark(i: number, finger: number | null): Mark | undefined;
}

const TOUCHES: readonly TouchAsked[] = [
  {
    id: "detached",
    name: "detached",
    words: "short, each let go at once",
    attacks: "fingers that lean on one another: each begins and ends by itself",
    mark: () => "staccato",
  },
  {
    id: "two-note-slurs",
    name: "two-note slurs",
    words: "in twos: fall, and let go",
    attacks: "a wrist that does not breathe",
    mark: (i) => (i % 2 === 0 ? "slur" : "slur-end"),
  },
  ...[1, 2, 3].map((place): TouchAsked => ({
    id: `accent-${place + 1}`,
    name: `accent on note ${place + 1} of four`,
    words: "the rest light",
    attacks: "a finger that leans on the beat: the weight goes elsewhere in turn",
    mark: (i) => (i % 4 === place ? "accent" : undefined),
  })),
  {
    id: "soft",
    name: "soft",
    words: "pp",
    attacks: "notes that only speak when struck",
    mark: () => undefined,
  },
  {
    id: "from-the-key",
    name: "from the key",
    words: "each finger on its key before it plays",
    attacks: "fingers that fly: what starts on the key needs no aim",
    mark: () => "tenuto",
  },
  {
    id: "strong-fingers",
    name: "fourth and fifth alone strong",
    words: "4 and 5 firm, the others soft",
    attacks: "a fourth and a fifth finger that hide behind the others",
    mark: (_, finger) => (finger === 4 || finger === 5 ? "accent" : undefined),
  },
];

/** The same notes, fingers and rhythm in other touches. */
export const touches: DrillKind = {
  id: "touches",
  name: "Touches",
  against: ["heavy-finger", "weak-finger", "repetition", "series"],
  pace: "slow",
  make: (source) =>
    source.onsets.length < 4
      ? []
      : TOUCHES.flatMap((touch): Drill[] => {
          const events = touched(source, touch);
          const isOther = touch.words === "pp" || events.some(({ mark }) => mark);
          if (!isOther) return [];
          return [
            {
              id: `touches ${touch.id}`,
              kind: "touches",
              name: `Touch: ${touch.name}`,
              attacks: touch.attacks,
              done: "as easy in this touch as in the written one",
              stop: `after three times through, or ${STOP_ALWAYS}`,
              about: all(source),
              music: oneHand(source, events, touch.words),
            },
          ];
        }),
};

/** The onsets with their marks; a slur that would end on nothing is not begun. */
function touched({ onsets }: Source, { mark }: TouchAsked): readonly DrillEvent[] {
  return onsets.map(({ keys, length }, i) => {
    const own = mark(i, keys.at(-1)?.finger ?? null);
    const isCut = own === "slur" && i === onsets.length - 1;
    return { keys, length, ...(own && !isCut ? { mark: own } : {}) };
  });
}
