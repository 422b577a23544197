import { day, type Day } from "./days";

/** A time zone by its name in the IANA list, "Europe/Lisbon". */
export type Zone = string & { readonly __unit: "zone" };

/** A zone that there is; null for any other text. */
export function zoneNamed(name: string): Zone | null {
  if (name.length > 64) return null;
  try {
    new Intl.DateTimeFormat("en", { timeZone: name });
    return name as Zone;
  } catch {
    return null;
  }
}

/** The day that a moment falls on in a zone. @param at ms since 1970 */
export function dayIn(zone: Zone, at: number): Day {
  return day(writerOf(zone).format(at));
}

/** What writes days in a zone: made once, for making it takes longer than writing a thousand days. */
const writers = new Map<Zone, Intl.DateTimeFormat>();

function writerOf(zone: Zone): Intl.DateTimeFormat {
  const known = writers.get(zone);
  if (known) return known;
  // Swedish writes days as ISO does.
  const made = new Intl.DateTimeFormat("sv-SE", { timeZone: zone, dateStyle: "short" });
  writers.set(zone, made);
  return made;
}

/** The first moment of a day in a zone, to the minute; whatever the clocks do that night. */
export function startOf(on: Day, zone: Zone): Date {
  const midnight = Date.parse(`${on}T00:00:00Z`) / MS_A_MINUTE;
  let [before, within] = [midnight - WIDEST_ZONE, midnight + WIDEST_ZONE];
  while (within - before > 1) {
    const middle = Math.floor((before + within) / 2);
    if (dayIn(zone, middle * MS_A_MINUTE) < on) before = middle;
    else within = middle;
  }
  return new Date(within * MS_A_MINUTE);
}

const MS_A_MINUTE = 60_000;
/** Minutes by which a zone's clock may be off from that of the world at most. */
const WIDEST_ZONE = 15 * 60;
