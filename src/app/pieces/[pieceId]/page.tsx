import type { Metadata } from "next";
import Link from "next/link";
import { notFound } from "next/navigation";
import { z } from "zod";
import { barsText } from "@/components/repertoire/bars-text";
import { PartChoice } from "@/components/repertoire/part-choice";
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
      <div className="border-b border-hairline pb-2">
        <h1 className="font-serif text-3xl">{piece.title}</h1>
        <p className="text-sm text-soft">
          {piece.bars.length} {piece.bars.length === 1 ? "bar" : "bars"},{" "}
          {piece.entered ? "entered step by step" : `from ${piece.fileName}`}
        </p>
      </div>
      {piece.parts.length > 1 && <PartChoice piece={piece} />}
      {piece.remarks.length > 0 && (
        <ul aria-label="Remarks of the reader" className="mt-3 border-l-2 border-brass pl-3 text-sm">
          {piece.remarks.map((remark, i) => (
            <li key={i}>{remark}</li>
          ))}
        </ul>
      )}
      {piece.passages.length > 0 && (
        <ul className="mt-3" aria-label="Passages">
          {piece.passages.map((passage) => (
            <li key={passage.id}>
              <Link href={`/bench/${passage.id}`} className="inline-flex min-h-11 items-center gap-3 hover:text-velvet">
                <span className="font-serif text-lg">{passage.title}</span>
                <span className="text-sm text-soft">
                  {barsText(passage)}, {passage.hands === "both" ? "both hands" : `${passage.hands} hand`}
                </span>
              </Link>
            </li>
          ))}
        </ul>
      )}
      <PieceView piece={piece} />
    </div>
  );
}
