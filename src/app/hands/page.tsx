import type { Metadata } from "next";
import { HandsView } from "@/components/hands/hands-view";
import { database } from "@/server/connection";
import { playersZone } from "@/server/players/players-zone";
import { handsData } from "@/server/hands/hands";
import { player } from "@/server/players/player";

export const metadata: Metadata = { title: "Hands" };
export const dynamic = "force-dynamic";

/** What can these hands hold? */
export default async function Hands() {
  const db = database();
  const who = await player(db);
  return <HandsView pianist={who.name} data={await handsData(db, who.id, await playersZone())} />;
}
