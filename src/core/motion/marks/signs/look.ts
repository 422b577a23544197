import { PLAN } from "../../../physics";
import { at, type Sign } from "./sign";

/** A leap so wide that the eye finds the place before the hand does. */
export const look: Sign = {
  id: "look",
  words: "look ahead to this place",
  find: ({ frames }) =>
    frames.slice(1).flatMap(({ x, notes }, i) => (Math.abs(x - frames[i]!.x) >= PLAN.leapFrom ? at(notes[0]) : [])),
};
