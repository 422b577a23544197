import type { Composed } from "../compose";

/** A cadenza written for one hand and the other by turns, which lies better otherwise. */
export const lanternStairs: Composed = {
  title: "Lantern Stairs",
  fifths: 0,
  time: [4, 4],
  tempo: 112,
  words: "Quasi cadenza",
  right: [
    `16 r e3 r c4 r g4 r e5 r c5 r e4 r g3 r c3 | r a3 r f4 r c5 r a5 r f5 r a4 r c4 r f3 |
     1 [e4 c5]`,
  ],
  left: [
    `16 c3 r g3 r e4 r c5 r e5 r g4 r c4 r e3 r | f3 r c4 r a4 r f5 r a5 r c5 r f4 r a3 r |
     1 [c3 g3]`,
  ],
};
