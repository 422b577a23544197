import { FINGERS, type Finger } from "../hand/finger";
import type { Pitch } from "../keyboard/pitch";
import type { Allowed, Held, Hold, OutOfReach } from "./placement";
import type { Placements } from "./placements";
import { solvePlacement } from "./solve";

/** The easiest way one hand holds some keys, over all fingers in their natural order. */
type KeysHeld = { readonly kind: "held"; readonly holds: readonly Hold[]; readonly placement: Held };

/** No fingers hold the keys: why, and for the fingers that come nearest what is short. */
interface KeysBeyond {
  readonly kind: "out-of-reach";
  readonly keys: number;
  readonly free: number;
  readonly nearest: OutOfReach | null;
}

export type KeysAnswer = KeysHeld | KeysBeyond;

/**
 * How one hand holds keys at once: the easiest fingers and placement of all, or which pair is short and by how much.
 * @param keys any order, each once
 */
export function holdKeys(keys: readonly Pitch[], placements: Placements): KeysAnswer {
  return easiest(keys, placements, (holds) => placements.look(holds));
}

/** The same under conditions on shape, tilt and aim; asked of the solver itself. */
export function holdKeysIf(keys: readonly Pitch[], { hand, instrument }: Placements, allowed: Allowed): KeysAnswer {
  return easiest(keys, { hand }, (holds) => solvePlacement(hand, instrument, holds, allowed));
}

function easiest(
  keys: readonly Pitch[],
  { hand }: Pick<Placements, "hand">,
  solve: (holds: readonly Hold[]) => Held | OutOfReach,
): KeysAnswer {
  const free = FINGERS.filter((finger) => !hand.resting.includes(finger));
  const ordered = [...keys].sort((a, b) => (hand.side === "right" ? a - b : b - a));
  let best: KeysHeld | null = null;
  let nearest: OutOfReach | null = null;
  for (const fingers of choose(free, ordered.length)) {
    const holds = fingers.map((finger, i): Hold => ({ finger, key: ordered[i]! }));
    const placement = solve(holds);
    if (placement.kind === "held") {
      if (!best || placement.strain < best.placement.strain) best = { kind: "held", holds, placement };
    } else if (!nearest || (placement.short?.mm ?? Infinity) < (nearest.short?.mm ?? Infinity)) nearest = placement;
  }
  return best ?? { kind: "out-of-reach", keys: ordered.length, free: free.length, nearest };
}

/** Every choice of so many from a list, in order. */
function choose(from: readonly Finger[], count: number): readonly (readonly Finger[])[] {
  if (count === 0) return [[]];
  return from.flatMap((finger, i) => choose(from.slice(i + 1), count - 1).map((rest) => [finger, ...rest]));
}
