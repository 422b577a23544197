import { metreFrom, type Metre } from "@/core/passage/metre";
import { add, compare, subtract, ZERO, type Beats } from "@/core/time/beats";
import { childrenOf, type Element } from "../../xml/tree";
import { LIMITS } from "./limits";
import { wholeIn } from "./numbers";
import type { Bar } from "../score";

/** The metre that a <time> states, its first figures where it states several; null where they make no sense. */
export function metreOf(time: Element): Metre | null {
  const [counts] = childrenOf(time, "beats");
  const [type] = childrenOf(time, "beat-type");
  const unit = wholeIn(type?.text ?? null, LIMITS.beats);
  const groups = (counts?.text ?? "").split("+").map((text) => wholeIn(text.trim(), LIMITS.beats));
  if (unit === null || groups.some((count) => count === null)) return null;
  return metreFrom(groups as number[], unit);
}

/**
 * Place in a full bar of its metre at which a bar begins. One that is short and not counted, or the file's first, is a
 * pick-up and ends where a full bar does; the rest of a bar that the one before has begun goes on from there.
 */
export function beginningOf(bars: readonly Bar[], i: number): Beats {
  const bar = bars[i]!;
  const missing = subtract(bar.metre.length, bar.length);
  if (compare(missing, ZERO) <= 0) return ZERO;
  const before = bars[i - 1];
  if (before && add(before.length, bar.length) === bar.metre.length && beginningOf(bars, i - 1) === ZERO)
    return before.length;
  const isPickUp = bar.implicit || bar.number === "0" || (bar.index === 1 && bars.length > 1);
  return isPickUp ? missing : ZERO;
}
