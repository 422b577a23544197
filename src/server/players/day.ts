import type { Day } from "@/core/time/days";
import { dayIn, zoneNamed, type Zone } from "@/core/time/zone";

/** The zone that the server is in, for a player who has not said theirs yet. */
export function serverZone(): Zone {
  return zoneNamed(Intl.DateTimeFormat().resolvedOptions().timeZone) ?? ("UTC" as Zone);
}

/** The day that it is where the player is. The one place where days come from the clock. */
export function today(zone: Zone): Day {
  return dayIn(zone, Date.now());
}
