import type { Metadata } from "next";
import Link from "next/link";
import { ArchiveIn } from "@/components/players/archive-in";
import { PlayersList } from "@/components/players/players-list";
import { buttonLook } from "@/components/ui/button";
import { database } from "@/server/connection";
import { playersHere } from "@/server/players/player-in-hand";
import { demoAway, playersData } from "@/server/players/players";

export const metadata: Metadata = { title: "Players" };
export const dynamic = "force-dynamic";

/** Who plays here? */
export default async function Players() {
  const db = database();
  const [all, { now }, away] = await Promise.all([playersData(db), playersHere(), demoAway(db)]);
  return (
    <div className="max-w-3xl">
      <div className="flex flex-wrap items-end justify-between gap-3 border-b border-hairline pb-2">
        <h1 className="font-serif text-3xl">Players</h1>
        <Link href="/players/new" className={buttonLook()}>
          Begin with your own hands
        </Link>
      </div>
      <PlayersList all={all} now={now?.id ?? null} demoAway={away} />
      <ArchiveIn />
    </div>
  );
}
