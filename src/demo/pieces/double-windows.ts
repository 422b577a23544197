import type { Composed } from "../compose";

/** Double thirds, up and down, with a turn at the top. */
export const doubleWindows: Composed = {
  title: "Double Windows",
  fifths: 4,
  time: [4, 4],
  tempo: 88,
  words: "Allegro leggiero",
  right: [
    `16 [e4 g#4] [f#4 a4] [g#4 b4] [a4 c#5] [b4 d#5] [c#5 e5] [d#5 f#5] [e5 g#5] [f#5 a5] [e5 g#5] [d#5 f#5] [c#5 e5] [b4 d#5] [a4 c#5] [g#4 b4] [f#4 a4] |
     [e4 g#4] [f#4 a4] [e4 g#4] [d#4 f#4] [e4 g#4] [g#4 b4] [a4 c#5] [b4 d#5] [c#5 e5] [b4 d#5] [c#5 e5] [d#5 f#5] [e5 g#5] [d#5 f#5] [c#5 e5] [b4 d#5] |
     8 [c#5 e5] [a4 c#5] 16 [b4 d#5] [a4 c#5] [g#4 b4] [f#4 a4] 2 [e4 g#4]`,
  ],
  left: [`4 [e3 b3] r [b2 a3] r | [e3 g#3] [c#3 g#3] [a2 e3] [b2 f#3] | [a2 e3] [b2 a3] 2 [e2 b2]`],
};
