import { times, type Leaning } from "./leaning";

export const legato: Leaning = {
  id: "legato",
  label: "by fingers, legato",
  what: "Legato by the fingers: the thumb passes, held notes are kept, no finger hops.",
  weigh: (plain) => times(plain, { heldLost: 2, heldLostPedal: 4, lineBroken: 2, carriedByPedal: 4 }),
  manner: { arpeggios: "legato" },
};
