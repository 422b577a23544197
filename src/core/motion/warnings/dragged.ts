import { WARNING_WEIGHT } from "../../physics";
import { fingerName } from "../../hand/finger";
import { eachHand, whole } from "./warning";

const WEIGHT = WARNING_WEIGHT.dragged;

/** A held note that draws the hand away from the next. */
export const dragged = eachHand("dragged", "mm", ({ drags }) =>
  drags.map(({ note, finger, mm, mayGo }) => ({
    note,
    amount: mm,
    words: `the ${fingerName(finger)}, still held, pulls the hand ${whole(mm)} mm away from these notes`,
    change: mayGo ? "let it go: the pedal carries it" : "turn about it, and let it go as soon as its note has sounded",
    cost: Math.min(WEIGHT.most, mm * WEIGHT.each),
  })),
);
