import type { Composed } from "../compose";

/** Broken chords over four octaves and more, between the hands. */
export const fourRivers: Composed = {
  title: "Four Rivers",
  fifths: -3,
  time: [4, 4],
  tempo: 104,
  words: "Con moto, una corda",
  right: [
    `16 g3 c4 eb4 g4 c5 eb5 g5 c6 eb6 c6 g5 eb5 c5 g4 eb4 c4 |
     ab3 c4 f4 ab4 c5 f5 ab5 c6 f6 c6 ab5 f5 c5 ab4 f4 c4 |
     g3 bn3 d4 g4 bn4 d5 f5 bn5 d6 bn5 f5 d5 bn4 g4 d4 bn3 |
     8 c4 g4 c5 eb5 2 [eb5 g5 c6]`,
  ],
  left: [
    `16 c2 g2 c3 eb3 g3 eb3 c3 g2 c2 g2 c3 eb3 g3 eb3 c3 g2 |
     f2 c3 f3 ab3 c4 ab3 f3 c3 f2 c3 f3 ab3 c4 ab3 f3 c3 |
     g1 d2 g2 bn2 f3 bn2 g2 d2 g1 d2 g2 bn2 f3 d3 bn2 g2 |
     8 c2 g2 c3 g2 2 [c2 g2 eb3]`,
  ],
};
