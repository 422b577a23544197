"use client";

import { useCallback, useMemo, useRef, useState } from "react";
import type { PieceData } from "@/server/types";
import type { Drawn } from "../score/drawn";
import { Score } from "../score/score";
import { NewPassage } from "./new-passage";
import { PieceMap } from "./piece-map";
import { PieceSurvey } from "./piece-survey";
import { useDoubtInHand } from "./use-doubt-in-hand";

/** A score alone. */
const NOTHING_ON_IT: Pick<Drawn, "steps" | "layers" | "lanes" | "sideOf"> = {
  steps: [],
  layers: [],
  lanes: [],
  sideOf: () => "right",
};

/** The piece surveyed and engraved, with the form for a new passage beside it. */
export function PieceView({ piece }: { piece: PieceData }) {
  const [bar, setBar] = useState<{ readonly index: number } | null>(null);
  const form = useRef<HTMLDivElement>(null);
  const onBar = useCallback((index: number) => {
    setBar({ index });
    form.current?.scrollIntoView({ block: "nearest" });
  }, []);
  const doubt = useDoubtInHand();
  const doubtful = useMemo(() => piece.doubtful.filter((note) => note !== null), [piece.doubtful]);
  const marked = useMemo(() => new Set(doubtful.map(({ id }) => id)), [doubtful]);
  return (
    <div className="grid gap-8 lg:grid-cols-[1fr_20rem]">
      <div className="min-w-0">
        <PieceSurvey pieceId={piece.id} octaveWidth={piece.octaveWidth} onBar={onBar} />
        <PieceMap pieceId={piece.id} />
        <section aria-label="The score" className="mt-4">
          <Score
            music={piece.music}
            beginning={piece.beginning}
            notes={doubtful}
            doubtful={marked}
            selected={doubt.note}
            onSelect={doubt.take}
            {...NOTHING_ON_IT}
          />
        </section>
      </div>
      <div ref={form} className="pt-3 lg:sticky lg:top-14 lg:self-start">
        <NewPassage piece={piece} from={bar} />
      </div>
    </div>
  );
}
