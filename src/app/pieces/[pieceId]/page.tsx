import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { z } from "zod";
import { HeardAs } from "@/components/repertoire/heard-as";
import { PartChoice } from "@/components/repertoire/part-choice";
import { PassagesList } from "@/components/repertoire/passages-list";
import { PieceMenu } from "@/components/repertoire/piece-menu";
import { ProgrammeChoice } from "@/components/repertoire/programme-choice";
import { PieceView } from "@/components/repertoire/piece-view";
import { database } from "@/server/connection";
import { pieceData } from "@/server/pieces/piece-data";

export const metadata: Metadata = { title: "Piece" };
export const dynamic = "force-dynamic";

/** One piece: its passages, and choosing the bars and hand of a new one. */
export default async function Piece({ params }: { params: Promise<{ pieceId: string }> }) {
  const id = z.uuid().safeParse((await params).pieceId);
  const piece = id.success ? await pieceData(database(), id.data) : null;
  if (!piece) notFound();
  return (
    <div>
      <div className="flex flex-wrap items-end justify-between gap-3 border-b border-hairline pb-2">
        <div>
          <div className="flex items-center gap-1">
            <h1 className="font-serif text-3xl">{piece.title}</h1>
            <PieceMenu id={piece.id} title={piece.title} />
          </div>
          <p className="text-sm text-soft">
            {piece.bars.length} {piece.bars.length === 1 ? "bar" : "bars"},{" "}
            {piece.entered ? "entered step by step" : `from ${piece.fileName}`}
          </p>
        </div>
        <ProgrammeChoice piece={piece} />
      </div>
      {piece.parts.length > 1 && <PartChoice piece={piece} />}
      {piece.remarks.length > 0 && (
        <ul aria-label="Remarks of the reader" className="mt-3 border-l-2 border-brass pl-3 text-sm">
          {piece.remarks.map((remark, i) => (
            <li key={i}>{remark}</li>
          ))}
        </ul>
      )}
      {piece.heard && (
        <HeardAs
          pieceId={piece.id}
          heard={piece.heard}
          doubtful={piece.doubtful}
          isSettled={piece.passages.length > 0}
        />
      )}
      <PassagesList passages={piece.passages} />
      <PieceView piece={piece} />
    </div>
  );
}
