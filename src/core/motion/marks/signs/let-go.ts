import { MOTION } from "../../../physics";
import { at, type Sign } from "./sign";

/** A window after a wide opening, in which the hand can close. */
export const letGo: Sign = {
  id: "let-go",
  words: "let go, the hand closes",
  find: ({ releases }) =>
    releases.flatMap(({ isOpen, window, from }) => (isOpen && window >= MOTION.closeMs ? at(from[0]) : [])),
};
