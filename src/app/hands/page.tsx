import type { Metadata } from "next";
import { HandsView } from "@/components/hands/hands-view";
import { database } from "@/server/connection";
import { playersZone } from "@/server/players/players-zone";
import { handsData } from "@/server/hands/hands";
import { playerInHand } from "@/server/players/player-in-hand";

export const metadata: Metadata = { title: "Hands" };
export const dynamic = "force-dynamic";

/** What can these hands hold? */
export default async function Hands() {
  const db = database();
  const who = await playerInHand();
  return <HandsView key={who.id} pianist={who.name} data={await handsData(db, who.id, await playersZone())} />;
}
