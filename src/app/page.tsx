import type { Metadata } from "next";
import Link from "next/link";
import { Pencil } from "lucide-react";
import { DueList } from "@/components/repertoire/due-list";
import { ImportDrop } from "@/components/repertoire/import-drop";
import { PiecesList } from "@/components/repertoire/pieces-list";
import { Recitals } from "@/components/repertoire/recitals";
import { Today } from "@/components/today/today";
import { buttonLook } from "@/components/ui/button";
import { database } from "@/server/connection";
import { playerInHand } from "@/server/players/player-in-hand";
import { today } from "@/server/players/day";
import { todayData } from "@/server/practice/today";
import { playersZone } from "@/server/players/players-zone";
import { repertoireData } from "@/server/pieces/repertoire";

export const metadata: Metadata = { title: "Repertoire" };
export const dynamic = "force-dynamic";

/** Where is the trouble? The pieces, their dates, their passages. */
export default async function Repertoire() {
  const who = await playerInHand();
  const zone = await playersZone();
  const [{ player, recitals, due, pieces, gone }, day] = await Promise.all([
    repertoireData(database(), who, zone),
    todayData(database(), who.id, today(zone), zone),
  ]);
  return (
    <div className="grid gap-10 lg:grid-cols-[1fr_20rem]">
      <div>
        {pieces.length > 0 && (
          <Today data={day}>
            <DueList due={due} />
          </Today>
        )}
        <Title isFirst={pieces.length === 0}>{player.name}’s repertoire</Title>
        <Recitals playerId={player.id} recitals={recitals} />
        {pieces.length === 0 && (
          <p className="mt-6 max-w-md">
            No pieces yet. Bring in a score as MusicXML: drop it on the field at the side, or choose it there. Without a
            file, enter the hard bars step by step.
          </p>
        )}
        <PiecesList pieces={pieces} />
        {gone > 0 && (
          <Link href="/away" className="mt-3 flex min-h-11 items-center text-sm text-soft hover:text-ink">
            Taken away: {gone}
          </Link>
        )}
      </div>
      <div className="flex flex-col gap-4">
        <ImportDrop playerId={player.id} />
        <Link href="/enter" className={buttonLook()}>
          <Pencil size={16} aria-hidden /> Enter a passage step by step
        </Link>
        {who.isDemo && (
          <p className="text-sm text-soft">
            {player.name} is made up for the demo.{" "}
            <Link href="/players/new" className="text-velvet underline underline-offset-2">
              Begin with your own hands
            </Link>
          </p>
        )}
      </div>
    </div>
  );
}

/** The page's own title where nothing stands over it. */
function Title({ isFirst, children }: { readonly isFirst: boolean; readonly children: React.ReactNode }) {
  const Heading = isFirst ? "h1" : "h2";
  return <Heading className="mt-6 border-b border-hairline pb-2 font-serif text-3xl">{children}</Heading>;
}
