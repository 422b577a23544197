import { times, type Leaning } from "./leaning";

export const strongOnTune: Leaning = {
  id: "strong-on-tune",
  label: "strong on the tune",
  what: "Strong fingers where the tune, accents and loud notes lie, light ones where it is soft.",
  weigh: (plain) => times(plain, { weakInTune: 10, weakPerLoad: 5, weakFinger: 4, heavyThumb: 3 }),
};
