import type { Composed } from "../compose";

/** One note repeated, then threes on each step, over a left hand that stays where it is; the edition prints one finger for each, which holds while it is slow. */
export const signalLamp: Composed = {
  title: "The Signal Lamp",
  fifths: 1,
  time: [2, 4],
  tempo: 92,
  words: "Con spirito",
  right: [
    `16 g4=1 g4=1 g4=1 g4=1 g4=1 g4=1 g4=1 g4=1 |
     b4=2 b4=2 b4=2 b4=2 d5=4 d5=4 d5=4 d5=4 |
     c5=3 c5=3 c5=3 c5=3 a4=2 a4=2 a4=2 a4=2 |
     8 [b4 d5] [a4 c5] 4 [g4 b4]`,
  ],
  left: [
    `16 g3 d4 b3 d4 g3 d4 b3 d4 | g3 d4 b3 d4 g3 d4 b3 d4 | f#3 d4 c4 d4 f#3 d4 c4 d4 |
     8 [d3 f#3] [d3 f#3] 4 g3`,
  ],
};
