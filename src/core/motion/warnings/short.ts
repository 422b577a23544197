import { WARNING_WEIGHT } from "../../physics";
import { eachHand, whole } from "./warning";

const WEIGHT = WARNING_WEIGHT.short;

/** A way that takes longer than the music leaves. */
export const short = eachHand("short", "ms", ({ releases }) =>
  releases.flatMap(({ short: ms, mm, to }) =>
    ms > WEIGHT.from && to.length > 0
      ? [
          {
            note: to[0]!,
            amount: ms,
            words: `the hand has to move ${whole(mm)} mm to here, and is ${whole(ms)} ms late`,
            change: "let the note before go sooner, or take a fingering that carries the hand less",
            cost: Math.min(WEIGHT.most, ms * WEIGHT.each),
          },
        ]
      : [],
  ),
);
