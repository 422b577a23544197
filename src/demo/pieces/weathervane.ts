import type { Composed } from "../compose";

/** One figure that comes back in other keys, with black keys under other fingers; digits printed at its first coming. */
export const weathervane: Composed = {
  title: "Weathervane",
  fifths: 0,
  time: [2, 4],
  tempo: 120,
  words: "Vivo",
  right: [
    `16 c5=1 d5=2 e5=3 g5=5 f5=4 d5=2 b4=1 d5=2 |
     eb5 f5 g5 bb5 ab5 f5 d5 f5 |
     e5 f#5 g#5 b5 a5 f#5 d#5 f#5 |
     ab5 bb5 c6 eb6 db6 bb5 g5 bb5 |
     c6 b5 a5 g5 f5 e5 d5 b4 |
     8 c5 [g4 b4] 4 [e4 c5]`,
  ],
  left: [
    `8 [c3 g3] r [g2 f3] r | [eb3 bb3] r [bb2 ab3] r | [e3 b3] r [b2 a3] r | [ab2 eb3] r [eb3 db4] r | [c3 e3] r [g2 f3] r | [c3 g3] [g2 d3] 4 c3`,
  ],
};
