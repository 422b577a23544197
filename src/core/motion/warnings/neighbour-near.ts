import { MOTION, WARNING_WEIGHT } from "../../physics";
import { eachHand, whole } from "./warning";

const WEIGHT = WARNING_WEIGHT.neighbourNear;

const WORDS = {
  angle: "turn the hand a little",
  tilt: "lean the hand",
  depth: "play nearer to the edge, clear of the black keys",
  height: "hold the wrist a little higher",
} as const;

/** A key beside that a finger may catch. */
export const neighbourNear = eachHand("neighbour-near", "mm", ({ clearances }) =>
  clearances.flatMap(({ note, fingers, mm, gains }) => {
    if (mm >= MOTION.safeClearance) return [];
    const best = gains[0];
    return [
      {
        note,
        amount: mm,
        words: `${fingers.join(" and ")} ${saidOf(mm)}`,
        change: best ? `${WORDS[best.change]}: ${whole(best.mm)} mm more` : "close the pair sooner",
        cost: Math.min(WEIGHT.most, WEIGHT.each * (MOTION.safeClearance - mm)),
      },
    ];
  }),
);

function saidOf(mm: number): string {
  const near = Math.round(Math.abs(mm));
  if (near === 0) return "just touch the next key";
  return mm > 0 ? `clear the next key by only ${near} mm` : `are ${near} mm too low to clear the next key`;
}
