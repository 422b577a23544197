import type { Metadata } from "next";
import Link from "next/link";
import { ReachSheet } from "@/components/reach/reach-sheet";
import { database } from "@/server/connection";
import { playersZone } from "@/server/players/players-zone";
import { handsData } from "@/server/hands/hands";
import { playerInHand } from "@/server/players/player-in-hand";

export const metadata: Metadata = { title: "Reach sheet" };
export const dynamic = "force-dynamic";

/** Which intervals can each pair of fingers hold, and at what cost? */
export default async function Reach() {
  const db = database();
  const data = await handsData(db, (await playerInHand()).id, await playersZone());
  const { name, octaveWidth } = data.instruments[0]!;
  return (
    <div>
      <div className="flex flex-wrap items-baseline justify-between gap-3 border-b border-hairline pb-2">
        <h1 className="font-serif text-3xl">Reach sheet</h1>
        <p className="text-sm text-soft">
          On {name}, octave {octaveWidth} mm.{" "}
          <Link href="/hands" className="underline underline-offset-2 hover:text-ink">
            Hands
          </Link>
        </p>
      </div>
      <ReachSheet data={data} />
    </div>
  );
}
