"use client";

import { useEffect, useState } from "react";
import { engraver } from "@/worker/clients";

export type Engraving = { readonly state: "working" } | { readonly state: "done"; readonly lines: readonly string[] } | { readonly state: "failed"; readonly message: string };

/** Engraves music in the worker at a width; the newest request counts, and the last engraving stands meanwhile. */
export function useEngraving(music: string, width: number, scale: number): Engraving {
  const [engraving, setEngraving] = useState<Engraving>({ state: "working" });
  useEffect(() => {
    if (width === 0) return;
    let wanted = true;
    engraver()
      .engrave(music, width, scale)
      .then(
        (lines) => wanted && setEngraving({ state: "done", lines }),
        (error: unknown) => wanted && setEngraving({ state: "failed", message: error instanceof Error ? error.message : String(error) }),
      );
    return () => {
      wanted = false;
    };
  }, [music, width, scale]);
  return engraving;
}
