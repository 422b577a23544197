"use client";

import type { PieceData } from "@/server/types";
import { Score } from "../score/score";
import { NewPassage } from "./new-passage";

/** The piece engraved, with the form for a new passage beside it. */
export function PieceView({ piece }: { piece: PieceData }) {
  return (
    <div className="mt-4 grid gap-8 lg:grid-cols-[1fr_20rem]">
      <section aria-label="The score" className="min-w-0">
        <Score
          music={piece.music}
          beginning={piece.beginning}
          notes={[]}
          steps={[]}
          layers={[]}
          lanes={[]}
          selected={null}
          onSelect={() => undefined}
        />
      </section>
      <NewPassage piece={piece} />
    </div>
  );
}
