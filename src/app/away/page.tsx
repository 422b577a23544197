import type { Metadata } from "next";
import { GoneList } from "@/components/belongings/gone-list";
import { database } from "@/server/connection";
import { goneData } from "@/server/belongings/belongings";
import { playerInHand } from "@/server/players/player-in-hand";

export const metadata: Metadata = { title: "Taken away" };
export const dynamic = "force-dynamic";

/** What was taken away, and can be had back? */
export default async function Away() {
  const { id } = await playerInHand();
  return (
    <div className="max-w-3xl">
      <h1 className="border-b border-hairline pb-2 font-serif text-3xl">Taken away</h1>
      <GoneList gone={await goneData(database(), id)} />
    </div>
  );
}
