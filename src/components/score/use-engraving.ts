"use client";

import { useEffect, useState } from "react";
import { engraver } from "@/worker/clients";
import type { EngravingAsked } from "@/worker/engraver";
import { keepEngraving, keptEngraving } from "./kept-engravings";

export type Engraving =
  | { readonly state: "working" }
  | { readonly state: "done"; readonly lines: readonly string[] }
  | { readonly state: "failed"; readonly message: string };

/**
 * Engraves music in the worker; the newest request counts, and the last engraving stands meanwhile. What was engraved
 * before is taken as it was kept.
 * @param asked with a width of 0 nothing is engraved yet
 * @param beginning the first bars of long music, engraved first so that something stands there soon
 */
export function useEngraving({ music, width, scale, rows }: EngravingAsked, beginning?: string): Engraving {
  const [engraving, setEngraving] = useState<Engraving>({ state: "working" });
  useEffect(() => {
    if (width === 0) return;
    let wanted = true;
    void (async () => {
      try {
        const known = await keptEngraving({ music, width, scale, rows });
        if (known) {
          if (wanted) setEngraving({ state: "done", lines: known });
          return;
        }
        for (const part of beginning === undefined || beginning === music ? [music] : [beginning, music]) {
          const asked = { music: part, width, scale, rows };
          const lines = await engraver().engrave(asked);
          if (part === music) void keepEngraving(asked, lines);
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
  }, [music, beginning, width, scale, rows]);
  return engraving;
}
