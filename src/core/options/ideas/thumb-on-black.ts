import { OFFER } from "../../physics";
import { isBlack } from "../../keyboard/pitch";
import { playedNotes } from "../../passage/passage";
import { often } from "../../counted";
import type { Idea } from "./idea";

/** How often the thumb plays a black key. */
export const thumbOnBlack: Idea = {
  id: "thumb-on-black",
  amount: ({ study, judged }) =>
    playedNotes(study.passage).filter(({ id, pitch }) => isBlack(pitch) && judged.fingering[id] === 1).length,
  least: OFFER.ideaLeast.thumbOnBlack,
  say: (count) => (count === 0 ? "thumb never on black" : `thumb on black ${often(count)}`),
};
