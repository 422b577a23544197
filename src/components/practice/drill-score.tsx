"use client";

import { useEffect, useMemo, useState } from "react";
import type { NoteId } from "@/core/passage/note";
import type { Drill } from "@/core/practice/drill";
import { written } from "@/core/practice/music";
import { engraver } from "@/worker/clients";
import type { DrillScore as Engraved } from "@/worker/engraver";
import { Score } from "../score/score";
import { Button } from "../ui/button";

interface Props {
  readonly drill: Drill;
  /** Key signature it is written in. */
  readonly fifths: number;
  readonly zoom: number;
  /** Told of its file once it is written. */
  readonly onWritten?: (file: string) => void;
}

const NO_LANES: readonly never[] = [];

/** A drill engraved with its digits; one that is to be imagined lies under a cover until it is lifted. */
export function DrillScore({ drill, fifths, zoom, onWritten }: Props) {
  const drillWritten = useMemo(() => written(drill.music, drill.name, fifths), [drill, fifths]);
  const score = useDrillScore(drillWritten, onWritten);
  const [lifted, lift] = useState<Drill | null>(null);
  const layers = useMemo(
    () => [{ name: "drill", fingering: drillWritten.digits, pins: {}, marked: new Set<NoteId>() }],
    [drillWritten],
  );
  if (drill.isImagined && lifted !== drill)
    return (
      <div className="grid min-h-[18rem] place-items-center border border-hairline">
        <Button onClick={() => lift(drill)}>Lift the cover</Button>
      </div>
    );
  if (!score) return <div className="min-h-[18rem]" aria-busy />;
  return (
    <Score
      music={score.music}
      zoom={zoom}
      notes={score.notes}
      steps={NO_LANES}
      layers={layers}
      lanes={NO_LANES}
      sideOf={(note) => (note.includes("-s1-") ? "right" : "left")}
      selected={null}
      onSelect={() => undefined}
    />
  );
}

function useDrillScore(drill: ReturnType<typeof written>, onWritten?: (file: string) => void): Engraved | null {
  const [found, setFound] = useState<{ readonly of: unknown; readonly score: Engraved } | null>(null);
  useEffect(() => {
    let isWanted = true;
    void engraver()
      .drillScore(drill)
      .then((score) => {
        if (!isWanted) return;
        setFound({ of: drill, score });
        onWritten?.(score.file);
      });
    return () => {
      isWanted = false;
    };
  }, [drill, onWritten]);
  return found?.of === drill ? found.score : null;
}
