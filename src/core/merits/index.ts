import { carried } from "./carried";
import { closedTime } from "./closed-time";
import type { Fingered, Merit, MeritFound } from "./merit";
import { crossings, moves, passes } from "./moves";
import { peak } from "./peak";
import { rotationRate } from "./rotation-rate";
import { inOutTravel } from "./in-out-travel";
import { strain } from "./strain";
import { traps } from "./traps";
import { travel } from "./travel";
import { warned } from "./warned";
import { weakLoad } from "./weak-load";
import { windows } from "./windows";
import { nearestLimit, widestOpening } from "./widest-opening";

export { fingered, type Fingered, type Merit, type MeritFound } from "./merit";

/** All figures of merit, in the order in which they are shown. */
export const MERITS: readonly Merit[] = [
  strain,
  peak,
  widestOpening,
  nearestLimit,
  carried,
  moves,
  passes,
  crossings,
  rotationRate,
  weakLoad,
  traps,
  closedTime,
  windows,
  travel,
  inOutTravel,
  warned,
];

/** One merit of several fingerings, in the order given. */
export interface MeritRow {
  readonly merit: Merit;
  readonly found: readonly MeritFound[];
  /** Places of the better ones; none where all are equal as far as they are said. */
  readonly better: readonly number[];
  /** For each, how it stands to the best, in words: "6 mm more", "the same"; empty for the best itself. */
  readonly apart: readonly string[];
}

/** Every merit of some fingerings, each with the better one and the size of the difference. */
export function meritTable(all: readonly Fingered[]): readonly MeritRow[] {
  return MERITS.map((merit) => {
    const found = all.map((each) => merit.find(each));
    const amounts = found.map(({ amount }) => amount);
    const best = merit.better === "less" ? Math.min(...amounts) : Math.max(...amounts);
    const isBest = (amount: number): boolean => merit.say(amount) === merit.say(best);
    const differ = amounts.some((amount) => !isBest(amount));
    return {
      merit,
      found,
      better: differ ? amounts.flatMap((amount, i) => (isBest(amount) ? [i] : [])) : [],
      apart: amounts.map((amount) => {
        if (isBest(amount)) return differ ? "" : "the same";
        return `${merit.say(Math.abs(amount - best))} ${amount > best ? "more" : "less"}`;
      }),
    };
  });
}

/** One merit by its name. @throws RangeError for a name that none has */
export function meritById(id: string): Merit {
  const found = MERITS.find((m) => m.id === id);
  if (!found) throw new RangeError(`"${id}" is no figure of merit.`);
  return found;
}
