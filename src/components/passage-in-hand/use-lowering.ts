"use client";

import { useEffect, useState } from "react";
import type { Lowering } from "@/core/fingering/explain/lowering";
import type { Study } from "@/core/fingering/study/study";
import type { FingeringWishes } from "@/core/options/asked/wishes";
import type { NoteId } from "@/core/passage/note";
import type { OptionData } from "@/server/types";
import { fingeringWorker } from "@/worker/clients";

/** ms a note must be in hand before it is asked about: walking over notes asks nothing. */
const SETTLED = 180;

interface LoweringFound {
  readonly on: Study;
  readonly option: OptionData;
  readonly note: NoteId;
  readonly lowering: readonly Lowering[];
}

/** What would lower the strain at the note in hand, in the option in force; null until it is worked out. */
export function useLowering(
  study: Study,
  option: OptionData | undefined,
  wishes: FingeringWishes,
  note: NoteId | null,
): readonly Lowering[] | null {
  const [found, setFound] = useState<LoweringFound | null>(null);
  useEffect(() => {
    if (!option || !note) return;
    const { leaning, pins, ruledOut, digits } = option;
    const soon = setTimeout(() => {
      void fingeringWorker()
        .lowering({ leaning, wishes, pins, ruledOut }, digits, note)
        .then((answer) => {
          if (!answer.stopped) setFound({ on: study, option, note, lowering: answer.found });
        });
    }, SETTLED);
    return () => clearTimeout(soon);
  }, [study, option, wishes, note]);
  return found?.on === study && found.option === option && found.note === note ? (found?.lowering ?? null) : null;
}
