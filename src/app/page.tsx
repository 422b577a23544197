import type { Metadata } from "next";
import Link from "next/link";
import { format, parseISO } from "date-fns";
import { Pencil } from "lucide-react";
import { DueList } from "@/components/repertoire/due-list";
import { ImportDrop } from "@/components/repertoire/import-drop";
import { buttonLook } from "@/components/ui/button";
import { barsText } from "@/components/repertoire/bars-text";
import { database } from "@/server/connection";
import { playersZone } from "@/server/players/players-zone";
import { repertoireData } from "@/server/pieces/repertoire";
import type { RepertoireData } from "@/server/types";

export const metadata: Metadata = { title: "Repertoire" };
export const dynamic = "force-dynamic";

/** Where is the trouble? The pieces, their dates, their passages. */
export default async function Repertoire() {
  const { player, recitals, due, pieces } = await repertoireData(database(), await playersZone());
  return (
    <div className="grid gap-10 lg:grid-cols-[1fr_20rem]">
      <div>
        <h1 className="border-b border-hairline pb-2 font-serif text-3xl">{player}’s repertoire</h1>
        {recitals.map((d) => (
          <p key={d.id} className="mt-2 text-soft">
            <span className="font-serif text-ink italic">{d.title}</span>, {format(parseISO(d.heldOn), "d MMMM yyyy")}
            {daysText(d.daysLeft)}
          </p>
        ))}
        <DueList due={due} />
        {pieces.length === 0 && (
          <p className="mt-6 max-w-md">
            No pieces yet. Bring in a score as MusicXML: drop it on the field at the side, or choose it there. Without a
            file, enter the hard bars step by step.
          </p>
        )}
        <ul className="mt-4">
          {pieces.map((piece) => (
            <Piece key={piece.id} piece={piece} />
          ))}
        </ul>
      </div>
      <div className="flex flex-col gap-4">
        <ImportDrop />
        <Link href="/enter" className={buttonLook()}>
          <Pencil size={16} aria-hidden /> Enter a passage step by step
        </Link>
      </div>
    </div>
  );
}

function daysText(days: number): string {
  if (days < 0) return "";
  return days === 0 ? ", today" : `, in ${days} ${days === 1 ? "day" : "days"}`;
}

function Piece({ piece }: { piece: RepertoireData["pieces"][number] }) {
  return (
    <li className="grid gap-x-6 border-b border-hairline py-2 sm:grid-cols-[15rem_1fr]">
      <Link href={`/pieces/${piece.id}`} className="flex min-h-11 items-center font-serif text-xl">
        {piece.title}
      </Link>
      <ul>
        {piece.passages.map((passage) => (
          <li key={passage.id}>
            <Link href={`/bench/${passage.id}`} className="flex min-h-11 items-center gap-3 hover:text-velvet">
              <span>{passage.title}</span>
              <span className="text-sm text-soft">
                {barsText(passage)}, {passage.hands === "both" ? "both hands" : `${passage.hands} hand`}, ♩ ={" "}
                {passage.tempo}
              </span>
            </Link>
          </li>
        ))}
        {piece.passages.length === 0 && (
          <li className="flex min-h-11 items-center text-sm text-soft">No passage chosen yet.</li>
        )}
      </ul>
    </li>
  );
}
