import type { Composed } from "../compose";

/** A held tune on the outer fingers over moving inner notes of the same hand. */
export const overLeaves: Composed = {
  title: "A Voice over Leaves",
  fifths: 3,
  time: [3, 4],
  tempo: 60,
  words: "Lento cantabile",
  right: [
    `2 c#5 4 e5 | 2. d5 | 4. c#5 8 b4 4 a4~ | 4 a4 2 g#4`,
    `16 e4 a4 f#4 a4 e4 a4 f#4 g#4 a4 g#4 c#5 b4 | f#4 b4 g#4 b4 a4 b4 g#4 b4 f#4 a4 e4 g#4 | e4 f#4 g#4 a4 e4 g#4 e4 f#4 d4 f#4 c#4 e4 | d4 e4 f#4 e4 d4 e4 b3 d4 c#4 d4 b3 e4`,
  ],
  left: [`2 [a2 e3] 4 [f#2 c#3] | 2. [b2 f#3] | 4 [e2 b2] [c#2 g#2] [d2 a2] | 2. [e2 b2]`],
};
