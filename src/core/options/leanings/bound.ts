import { times, type Leaning } from "./leaning";

export const bound: Leaning = {
  id: "bound",
  label: "bound",
  what: "Legato by the fingers: the thumb passes, held notes are kept, no finger hops.",
  weigh: (plain) => times(plain, { heldLost: 2, heldLostPedal: 4, sameFinger: 2, carriedByPedal: 4 }),
  manner: { arpeggios: "bound" },
};
