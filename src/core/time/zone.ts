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
  // Swedish writes days as ISO does.
  return day(new Intl.DateTimeFormat("sv-SE", { timeZone: zone, dateStyle: "short" }).format(at));
}
