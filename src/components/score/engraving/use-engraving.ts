"use client";

import { useEffect, useId, useRef, useState } from "react";
import { engraver } from "@/worker/clients";
import type { Engraved, EngravingAsked } from "@/worker/engraver";
import { keepEngraving, keptEngraving } from "./kept-engravings";
import { safeSvg } from "./safe-svg";

export type Engraving =
  | { readonly state: "working" }
  | { readonly state: "done"; readonly lines: readonly string[] }
  | { readonly state: "failed"; readonly message: string };

/** ms in which a drawing kept from before may be found before the music is engraved anew. */
const HEAD_START = 60;
/** ms that a change of music or width must stand before it is engraved; another size is asked for by one press, and comes at once. */
const SETTLED = 80;

function after(ms: number): Promise<null> {
  return new Promise((resolve) => setTimeout(() => resolve(null), ms));
}

/**
 * Engraves music in the worker; the newest request counts, and the last engraving stands meanwhile. What was engraved
 * before is taken as it was kept.
 * @param asked with a width of 0 nothing is engraved yet
 * @param beginning the first bars of long music, engraved first so that something stands there soon; null where short
 */
export function useEngraving({ music, width, scale, rows }: EngravingAsked, beginning: string | null): Engraving {
  const [engraving, setEngraving] = useState<Engraving>({ state: "working" });
  const place = useId();
  const lastScale = useRef<number | null>(null);
  useEffect(() => () => void engraver().leave(place), [place]);
  useEffect(() => {
    if (width === 0) return;
    let wanted = true;
    void (async () => {
      try {
        // While a window is drawn wider nothing is engraved: the width that it comes to counts.
        if (lastScale.current === scale) await after(SETTLED);
        if (!wanted) return;
        lastScale.current = scale;
        const asked = { music, width, scale, rows };
        const kept = keptEngraving(asked);
        let isWhole = false;
        const show = (lines: readonly string[], whole = true): void => {
          if (wanted && !isWhole) setEngraving({ state: "done", lines });
          isWhole ||= whole;
        };
        const showIf = (lines: Engraved, whole: boolean): void => {
          if (lines) show(lines.map(safeSvg), whole);
        };
        const known = await Promise.race([kept, after(HEAD_START)]);
        if (known) return show(known);
        // The look-up goes on beside the engraving: what is there first is shown.
        void kept.then((late) => late && show(late));
        if (beginning !== null && beginning !== music && wanted)
          showIf(await engraver().engrave({ ...asked, music: beginning }, place), false);
        if (!wanted || isWhole) return;
        const lines = await engraver().engrave(asked, place);
        // Something newer is wanted in its place, and comes.
        if (lines === null) return;
        const safe = lines.map(safeSvg);
        show(safe);
        void keepEngraving(asked, safe);
      } catch (error) {
        if (wanted) setEngraving({ state: "failed", message: error instanceof Error ? error.message : String(error) });
      }
    })();
    return () => {
      wanted = false;
    };
  }, [music, beginning, width, scale, rows, place]);
  return engraving;
}
