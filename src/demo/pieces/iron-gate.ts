import type { Composed } from "../compose";

/** Full chords at the edge of the reach and beyond it. */
export const ironGate: Composed = {
  title: "The Iron Gate",
  fifths: -1,
  time: [4, 4],
  tempo: 66,
  words: "Grave, con tutta forza",
  right: [
    `4 [d4 a4 d5 f5]' [c4 g4 c5 e5] [bb3 f4 bb4 d5]' [a3 e4 a4 c#5] |
     8 [d4 f4 bb4 d5] [d4 g4 bb4 d5] 4 [e4 g4 c#5 e5] 2 [f4 a4 d5 f5]' |
     4 [g4 bb4 d5 g5]' [f4 a4 d5 f5] 8 [e4 bb4 c#5 e5] [e4 g4 c#5 e5] 4 [d4 a4 d5] |
     [c#4 e4 a4 c#5] [d4 f#4 c5 d5] 2 [d4 g4 bb4 d5]`,
  ],
  left: [
    `4 [d2 d3] [c2 g2 e3] [bb1 bb2] [a1 a2] | [g1 g2] [a1 e2 a2] 2 [d2 a2 f3] | 4 [bb1 bb2] [d2 a2] [g1 g2] [bb1 f2 bb2] | [a1 a2] [d2 d3] 2 [g1 d2 bb2]`,
  ],
};
