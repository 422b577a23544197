import type { Composed } from "../compose";

/** A rocking accompaniment that opens the left hand wide under a slow tune. */
export const highWind: Composed = {
  title: "Cradle in a High Wind",
  fifths: -4,
  time: [3, 4],
  tempo: 84,
  words: "Andante, always rocking",
  right: [`2 c5 4 eb5 | 2. db5 | 4 c5 bb4 ab4 | 2. g4`],
  left: [
    `16 f2 c3 ab3 c4 ab3 c3 f2 c3 ab3 c4 ab3 c3 |
     bb1 f2 db3 f3 db3 f2 bb1 f2 db3 gn3 db3 f2 |
     ab1 eb2 c3 eb3 c3 eb2 f1 c2 ab2 c3 ab2 c2 |
     c2 g2 en3 g3 en3 g2 c2 g2 bb2 en3 bb2 g2`,
  ],
};
