import { cookies } from "next/headers";
import { zoneNamed, type Zone } from "@/core/time/zone";
import { serverZone } from "./day";

/** The cookie in which a page says in which zone its player is. */
const ZONE_COOKIE = "velvet-zone";

/** The zone of the player whose request is being answered. */
export async function playersZone(): Promise<Zone> {
  const said = (await cookies()).get(ZONE_COOKIE)?.value;
  return (said && zoneNamed(decodeURIComponent(said))) || serverZone();
}
