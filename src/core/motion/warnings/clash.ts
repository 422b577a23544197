import { WARNING_WEIGHT } from "../../physics";
import { eachHand, whole } from "./warning";

const WEIGHT = WARNING_WEIGHT.clash;

/** Finger and way ask the forearm for opposite turns at once. */
export const clash = eachHand("clash", "degrees", ({ clashes }) =>
  clashes.map(({ note, finger, degrees, ms }) => ({
    note,
    amount: degrees,
    words: `the finger turns the forearm towards the ${finger} while the hand travels the other way: ${whole(degrees)} degrees in ${whole(ms)} ms`,
    change: "carry the hand along from the arm and let the thumb follow, rather than turn for it",
    cost: Math.min(WEIGHT.most, (degrees * WEIGHT.each) / ms),
  })),
);
