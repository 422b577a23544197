"use client";

import { useEffect, useState } from "react";
import { engraver } from "@/worker/clients";
import type { EngravingAsked } from "@/worker/engraver";
import { keepEngraving, keptEngraving } from "./kept-engravings";

export type Engraving =
  | { readonly state: "working" }
  | { readonly state: "done"; readonly lines: readonly string[] }
  | { readonly state: "failed"; readonly message: string };

/** ms in which a drawing kept from before may be found before the music is engraved anew. */
const HEAD_START = 60;

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
  useEffect(() => {
    if (width === 0) return;
    let wanted = true;
    void (async () => {
      try {
        const asked = { music, width, scale, rows };
        const kept = keptEngraving(asked);
        let isWhole = false;
        const show = (lines: readonly string[], whole = true): void => {
          if (wanted && !isWhole) setEngraving({ state: "done", lines });
          isWhole ||= whole;
        };
        const known = await Promise.race([kept, after(HEAD_START)]);
        if (known) return show(known);
        // The look-up goes on beside the engraving: what is there first is shown.
        void kept.then((late) => late && show(late));
        if (beginning !== null && beginning !== music && wanted)
          show(await engraver().engrave({ ...asked, music: beginning }), false);
        if (!wanted || isWhole) return;
        const lines = await engraver().engrave(asked);
        show(lines);
        void keepEngraving(asked, lines);
      } catch (error) {
        if (wanted) setEngraving({ state: "failed", message: error instanceof Error ? error.message : String(error) });
      }
    })();
    return () => {
      wanted = false;
    };
  }, [music, beginning, width, scale, rows]);
  return engraving;
}
