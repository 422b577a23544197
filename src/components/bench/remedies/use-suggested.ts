"use client";

import { useEffect, useState } from "react";
import type { Study } from "@/core/fingering/study/study";
import type { Fingering } from "@/core/fingering/study/fingering";
import type { Allowances } from "@/core/reach/allowances";
import type { Suggested } from "@/core/reach/suggested";
import { fingeringWorker } from "@/worker/clients";

const NOTHING: Suggested = { fingers: {}, remedies: {} };

/** What the best remedies make of the notes that no finger reaches; nothing until it is worked out, or where every note has a finger. */
export function useSuggested(study: Study, digits: Fingering | undefined, allows: Allowances): Suggested {
  const [found, setFound] = useState<{ on: Study; of: Fingering; suggested: Suggested } | null>(null);
  const hasGaps = digits !== undefined && Object.values(digits).includes(null);
  useEffect(() => {
    if (!hasGaps) return;
    void fingeringWorker()
      .suggested(digits, allows)
      .then((answer) => {
        if (!answer.stopped) setFound({ on: study, of: digits, suggested: answer.found });
      })
      .catch(() => undefined);
  }, [study, digits, allows, hasGaps]);
  return found && found.on === study && found.of === digits ? found.suggested : NOTHING;
}
