import { times, type Leaning } from "./leaning";

export const clearestAtSpeed: Leaning = {
  id: "clearest-at-speed",
  label: "for fast playing",
  what: "Keeps fingers from tangling: crowding, rocking, one finger again and want of time weigh more, openings half.",
  weigh: (plain) =>
    times(plain, {
      crowding: 2,
      tangle: 2,
      rotation: 2,
      lineBroken: 1.5,
      repetitionPerHz: 2,
      shortfall: 2,
      weakPairPerHz: 2,
      alternation: 2,
      opening: 0.5,
      openingBeyond: 0.5,
    }),
};
