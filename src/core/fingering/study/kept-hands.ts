import type { Side } from "../../hand/finger";
import { handOfMeasured, type HandGiven } from "../../hand/measured";
import { instrument } from "../../keyboard/instrument";
import { placementsOf } from "../../placement/placements";
import type { Study } from "./study";

/** Both hands of a player at an instrument, with what they can hold on it. */
type KeptHands = Required<Pick<Study, "hands" | "instrument" | "placements">>;

/** Hands that are kept, with all that was found out about them; those that were asked for longest ago give way. A choice. */
const MOST_KEPT = 4;

const kept = new Map<string, KeptHands>();

/**
 * The hands that plain data describes: the same ones for the same data, so that what one study finds out about them is known to
 * the next. `octaveWidth`: mm from C to C; `movement`: times as long as usual that carrying a hand takes.
 * @throws RangeError for an octave outside what can be
 */
export function keptHandsOf(
  given: Readonly<Record<Side, HandGiven>>,
  octaveWidth: number,
  movement: number,
): KeptHands {
  const name = JSON.stringify([given.right, given.left, octaveWidth, movement]);
  const hands = kept.get(name) ?? made(given, octaveWidth, movement);
  kept.delete(name);
  if (kept.size >= MOST_KEPT) kept.delete(kept.keys().next().value!);
  kept.set(name, hands);
  return hands;
}

function made(given: Readonly<Record<Side, HandGiven>>, octaveWidth: number, movement: number): KeptHands {
  const on = instrument(octaveWidth);
  const right = { ...handOfMeasured("right", given.right.measured, given.right.resting), movement };
  const left = { ...handOfMeasured("left", given.left.measured, given.left.resting), movement };
  return {
    hands: { right, left },
    instrument: on,
    placements: { right: placementsOf(right, on), left: placementsOf(left, on) },
  };
}
