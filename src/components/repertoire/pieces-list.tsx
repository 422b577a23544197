import Link from "next/link";
import type { RepertoireData } from "@/server/types";
import { BelongingMenu } from "../belongings/belonging-menu";
import { barsText } from "./bars-text";

/** The pieces, each with its passages. */
export function PiecesList({ pieces }: { pieces: RepertoireData["pieces"] }) {
  return (
    <ul className="mt-4">
      {pieces.map((piece) => (
        <Piece key={piece.id} piece={piece} />
      ))}
    </ul>
  );
}

function Piece({ piece }: { piece: RepertoireData["pieces"][number] }) {
  const { id, title, passages } = piece;
  return (
    <li className="grid gap-x-6 border-b border-hairline py-2 sm:grid-cols-[16rem_1fr]">
      <div className="flex items-start justify-between">
        <Link href={`/pieces/${id}`} className="flex min-h-11 min-w-0 items-center font-serif text-xl wrap-anywhere">
          {title}
        </Link>
        <BelongingMenu of={{ kind: "piece", id, title, called: title }} />
      </div>
      <ul>
        {passages.map((passage) => (
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
        {passages.length === 0 && (
          <li className="flex min-h-11 items-center text-sm text-soft">No passage chosen yet.</li>
        )}
      </ul>
    </li>
  );
}
