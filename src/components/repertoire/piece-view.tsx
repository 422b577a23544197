"use client";

import { useCallback, useRef, useState } from "react";
import type { PieceData } from "@/server/types";
import type { Drawn } from "../score/drawn";
import { Score } from "../score/score";
import { NewPassage } from "./new-passage";
import { PieceMap } from "./piece-map";
import { PieceSurvey } from "./piece-survey";

/** A score alone. */
const NOTHING_ON_IT: Drawn = {
  notes: [],
  steps: [],
  layers: [],
  lanes: [],
  sideOf: () => "right",
  selected: null,
  onSelect: () => undefined,
};

/** The piece surveyed and engraved, with the form for a new passage beside it. */
export function PieceView({ piece }: { piece: PieceData }) {
  const [bar, setBar] = useState<{ readonly index: number } | null>(null);
  const form = useRef<HTMLDivElement>(null);
  const onBar = useCallback((index: number) => {
    setBar({ index });
    form.current?.scrollIntoView({ block: "nearest" });
  }, []);
  return (
    <div className="grid gap-8 lg:grid-cols-[1fr_20rem]">
      <div className="min-w-0">
        <PieceSurvey pieceId={piece.id} octaveWidth={piece.octaveWidth} onBar={onBar} />
        <PieceMap pieceId={piece.id} />
        <section aria-label="The score" className="mt-4">
          <Score music={piece.music} beginning={piece.beginning} {...NOTHING_ON_IT} />
        </section>
      </div>
      <div ref={form} className="pt-3 lg:sticky lg:top-14 lg:self-start">
        <NewPassage piece={piece} from={bar} />
      </div>
    </div>
  );
}
