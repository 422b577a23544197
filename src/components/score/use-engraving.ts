"use client";

import { useEffect, useState } from "react";
import { engraver } from "@/worker/clients";

export type Engraving =
  | { readonly state: "working" }
  | { readonly state: "done"; readonly lines: readonly string[] }
  | { readonly state: "failed"; readonly message: string };

/**
 * Engraves music in the worker at a width; the newest request counts, and the last engraving stands meanwhile.
 * @param beginning the first bars of long music, engraved first so that something stands there soon
 */
export function useEngraving(music: string, width: number, scale: number, beginning?: string): Engraving {
  const [engraving, setEngraving] = useState<Engraving>({ state: "working" });
  useEffect(() => {
    if (width === 0) return;
    let wanted = true;
    void (async () => {
      try {
        for (const part of beginning === undefined || beginning === music ? [music] : [beginning, music]) {
          const lines = await engraver().engrave(part, width, scale);
          if (!wanted) return;
          setEngraving({ state: "done", lines });
        }
      } catch (error) {
        if (wanted) setEngraving({ state: "failed", message: error instanceof Error ? error.message : String(error) });
      }
    })();
    return () => {
      wanted = false;
    };
  }, [music, beginning, width, scale]);
  return engraving;
}
