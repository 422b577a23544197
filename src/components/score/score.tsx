"use client";

import { startTransition, useDeferredValue, useEffect, useRef, useState } from "react";
import type { Drawn } from "./drawn";
import { EngravedLine } from "./engraving/engraved-line";
import { useWidth } from "./engraving/use-width";
import { useEngraving } from "./engraving/use-engraving";

interface Props extends Drawn {
  readonly music: string;
  /** The first bars of long music, engraved first. */
  readonly beginning?: string | null;
  /** 1 for the usual size. */
  readonly zoom?: number;
  /** Whether it stands in one line however long it is; wrapped where it does not fit, otherwise. */
  readonly oneLine?: boolean;
}

/** percent of the engraver's usual size, readable from a music desk */
const SCALE = 54;

/** A passage engraved, with digits over and under its notes and strain lanes beneath each line. */
export function Score({ music, beginning = null, zoom = 1, oneLine = false, ...drawn }: Props) {
  const frame = useRef<HTMLDivElement>(null);
  const width = useWidth(frame);
  const asked = {
    music,
    width: oneLine && width > 0 ? null : width,
    scale: Math.round(SCALE * zoom),
    rows: Math.max(1, drawn.layers.length) + (drawn.plan && drawn.plan.signs.length > 0 ? ROWS_OF_SIGNS : 0),
  };
  const engraving = useEngraving(asked, beginning);
  const lines = useGradually(engraving.state === "done" ? engraving.lines : NO_LINES);
  // Lanes and marks of the lines that are seen first are drawn at once, as after a take; those of the others a moment later.
  const plan = useDeferredValue(drawn.plan);
  const astray = useDeferredValue(drawn.astray);
  return (
    <div
      ref={frame}
      className={`min-h-[18rem] print:min-h-0 ${oneLine ? "overflow-x-auto print:overflow-visible" : ""}`}
      aria-busy={engraving.state === "working"}
    >
      {engraving.state === "working" && <p className="pt-24 text-center font-serif text-soft italic">Engraving…</p>}
      {engraving.state === "failed" && <p role="alert">{engraving.message}</p>}
      {lines.map((svg, i) => (
        <EngravedLine key={i} svg={svg} zoom={zoom} {...drawn} {...(i < AT_ONCE ? {} : { plan, astray })} />
      ))}
    </div>
  );
}

/** Rows of signs that stand beyond the digits. */
const ROWS_OF_SIGNS = 1;

const NO_LINES: readonly string[] = [];
/** Lines that are drawn at once: what is seen of most passages. */
const AT_ONCE = 2;

/** Of many lines the first at once and each other a little later, so that what is seen first need not wait for all. */
function useGradually(lines: readonly string[]): readonly string[] {
  const [shown, setShown] = useState({ of: lines, count: AT_ONCE });
  const count = shown.of === lines || shown.count > AT_ONCE ? shown.count : AT_ONCE;
  useEffect(() => {
    if (count >= lines.length) return;
    const soon = requestAnimationFrame(() => startTransition(() => setShown({ of: lines, count: count + 1 })));
    return () => cancelAnimationFrame(soon);
  }, [lines, count]);
  return lines.slice(0, count);
}
