import { cookies } from "next/headers";
import type { Day } from "@/core/time/days";
import { dayIn, zoneNamed, type Zone } from "@/core/time/zone";

/** The cookie in which a page says in which zone its player is. */
export const ZONE_COOKIE = "velvet-zone";

/** The zone that the server is in, for a player who has not said theirs yet. */
export function serverZone(): Zone {
  return zoneNamed(Intl.DateTimeFormat().resolvedOptions().timeZone) ?? ("UTC" as Zone);
}

/** The zone of the player whose request is being answered. */
export async function playersZone(): Promise<Zone> {
  const said = (await cookies()).get(ZONE_COOKIE)?.value;
  return (said && zoneNamed(decodeURIComponent(said))) || serverZone();
}

/** The day that it is where the player is. The one place where days come from the clock. */
export function today(zone: Zone): Day {
  return dayIn(zone, Date.now());
}
