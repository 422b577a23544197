import type { Metadata } from "next";
import { MeasureAtKeys } from "@/components/hands/measure-at-keys";
import { database } from "@/server/connection";
import { playersZone } from "@/server/players/players-zone";
import { handsData } from "@/server/hands/hands";
import { playerInHand } from "@/server/players/player-in-hand";

export const metadata: Metadata = { title: "Measure at the keys" };
export const dynamic = "force-dynamic";

/** All pairs of a hand, measured with nothing but keys. */
export default async function Measure() {
  const db = database();
  return (
    <div>
      <h1 className="border-b border-hairline pb-2 font-serif text-3xl">Measure at the keys</h1>
      <MeasureAtKeys data={await handsData(db, (await playerInHand()).id, await playersZone())} />
    </div>
  );
}
