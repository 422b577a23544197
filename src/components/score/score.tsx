"use client";

import { useEffect, useRef, useState } from "react";
import type { Step } from "@/core/fingering/steps";
import type { Note, NoteId } from "@/core/passage/note";
import type { NoteRemedies } from "@/core/passage/remedied";
import type { Position } from "@/core/fingering/positions";
import type { HandsTaken } from "@/core/passage/passage";
import type { DigitLayer } from "./digits";
import { EngravedLine } from "./engraved-line";
import type { Lane } from "./strain-lanes";
import { useEngraving } from "./use-engraving";

interface Props {
  readonly music: string;
  /** The first bars of long music, engraved first. */
  readonly beginning?: string;
  readonly notes: readonly Note[];
  readonly steps: readonly Step[];
  readonly layers: readonly DigitLayer[];
  readonly lanes: readonly Lane[];
  readonly remedies?: NoteRemedies | undefined;
  readonly taken?: HandsTaken | undefined;
  readonly positions?: readonly Position[] | undefined;
  readonly selected: NoteId | null;
  readonly onSelect: (note: NoteId) => void;
}

/** percent of the engraver's usual size, readable from a music desk */
const SCALE = 54;

/** A passage engraved, with digits over and under its notes and strain lanes beneath each line. */
export function Score({ music, beginning, ...drawn }: Props) {
  const frame = useRef<HTMLDivElement>(null);
  const width = useWidth(frame);
  const engraving = useEngraving(music, width, SCALE, beginning);
  return (
    <div ref={frame} className="min-h-[21rem]" aria-busy={engraving.state === "working"}>
      {engraving.state === "working" && <p className="pt-24 text-center font-serif text-soft italic">Engraving…</p>}
      {engraving.state === "failed" && <p role="alert">{engraving.message}</p>}
      {engraving.state === "done" && engraving.lines.map((svg, i) => <EngravedLine key={i} svg={svg} {...drawn} />)}
    </div>
  );
}

/** Width of an element in whole px, followed as it changes. */
function useWidth(frame: React.RefObject<HTMLElement | null>): number {
  const [width, setWidth] = useState(0);
  useEffect(() => {
    if (!frame.current) return;
    const observer = new ResizeObserver(([entry]) => setWidth(Math.floor(entry!.contentRect.width)));
    observer.observe(frame.current);
    return () => observer.disconnect();
  }, [frame]);
  return width;
}
