import { times, type Leaning } from "./leaning";

export const clearestAtSpeed: Leaning = {
  id: "clearest-at-speed",
  label: "clearest at speed",
  what: "Keeps fingers from tangling: crowding, rocking, one finger again and want of time weigh more, openings half.",
  weigh: (plain) =>
    times(plain, {
      crowding: 2,
      tangle: 2,
      rotation: 2,
      sameFinger: 1.5,
      sameFingerPerHz: 2,
      shortfall: 2,
      weakRow: 2,
      weakPair: 2,
      opening: 0.5,
      openingBeyond: 0.5,
    }),
};
