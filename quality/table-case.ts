import type { QualityCase } from "./cases";
import type { KindCase } from "./kind";
import { musicOf } from "./notation";

/** A standard fingering as a case like the invented ones; what is not graded is left open. */
export function tableCase({ name, side, keys, accepted, graded }: QualityCase): KindCase {
  return {
    kind: "standard fingerings",
    name,
    side,
    music: musicOf(keys),
    accepted: accepted.map((digits) => digits.map((d, i) => (graded.includes(i) ? d : "*")).join(" ")),
    why: "As conservatories teach it.",
    manner: {},
    tune: false,
  };
}
