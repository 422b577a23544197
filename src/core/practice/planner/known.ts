import { DAY_PLAN, KNOWN } from "../../physics";
import { daysBetween, type Day } from "../../time/days";
import type { Standing } from "../../verdict/standing";

/** How far a passage has come. */
export type PassageState = "undecided" | "learning" | "securing" | "keeping";

/** A take of the player's own, as the plan looks at it. */
export interface TakeKnown {
  readonly on: Day;
  /** Quarter notes a minute. */
  readonly tempo: number;
  readonly clean: boolean;
}

/**
 * How far a passage has come: undecided until a fingering is taken; then by the fastest clean take of the last days, as a
 * share of the target. See KNOWN.
 * @param target quarter notes a minute
 */
export function stateOf(standing: Standing, takes: readonly TakeKnown[], target: number, today: Day): PassageState {
  if (standing.state !== "taken") return "undecided";
  const recent = takes.filter(({ on, clean }) => clean && daysBetween(on, today) <= KNOWN.days);
  const share = Math.max(0, ...recent.map(({ tempo }) => tempo)) / target;
  if (share >= KNOWN.keeping) return "keeping";
  return share >= KNOWN.securing ? "securing" : "learning";
}

/** When a passage comes back. */
export interface Return {
  /** Days since it was last practised; null where it never was. */
  readonly since: number | null;
  /** Days in a row, the last ones, on which its first take was clean. */
  readonly held: number;
  /** Days after which it is wanted again: doubled each time that it held up. */
  readonly interval: number;
}

/**
 * @param days on which it was practised, in any order; @param takes oldest first: a day's first says whether it held up, and a
 * day without a take says neither
 */
export function returnOf(days: readonly Day[], takes: readonly TakeKnown[], today: Day): Return {
  const all = [...new Set([...days, ...takes.map(({ on }) => on)])].filter((on) => on <= today).sort();
  const firsts = new Map<Day, boolean>();
  for (const { on, clean } of takes) if (!firsts.has(on)) firsts.set(on, clean);
  let held = 0;
  for (const on of [...firsts.keys()].sort().toReversed()) {
    if (!firsts.get(on)) break;
    held++;
  }
  const last = all.at(-1);
  return {
    since: last === undefined ? null : daysBetween(last, today),
    held,
    interval: Math.min(DAY_PLAN.returnMost, DAY_PLAN.returnFirst * 2 ** held),
  };
}
