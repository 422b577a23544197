import Link from "next/link";
import type { PieceData } from "@/server/types";
import { BelongingMenu } from "../belongings/belonging-menu";
import { barsText } from "./bars-text";

/** The passages of a piece. */
export function PassagesList({ passages }: { passages: PieceData["passages"] }) {
  if (passages.length === 0) return null;
  return (
    <ul className="mt-3" aria-label="Passages">
      {passages.map((passage) => (
        <li key={passage.id} className="flex items-center gap-2">
          <Link href={`/bench/${passage.id}`} className="inline-flex min-h-11 items-center gap-3 hover:text-velvet">
            <span className="font-serif text-lg">{passage.title}</span>
            <span className="text-sm text-soft">
              {barsText(passage)}, {passage.hands === "both" ? "both hands" : `${passage.hands} hand`}
            </span>
          </Link>
          <BelongingMenu of={{ kind: "passage", id: passage.id, title: passage.title, called: passage.title }} />
        </li>
      ))}
    </ul>
  );
}
