"use client";

import { useEffect, useMemo, useState } from "react";
import type { Study } from "@/core/fingering/study/study";
import type { NoteId } from "@/core/passage/note";
import type { Allowances } from "@/core/reach/allowances";
import { predicamentAt, type Predicament } from "@/core/reach/predicament";
import type { RemedyTried } from "@/core/reach/remedies-for";
import { fingeringWorker } from "@/worker/clients";
import { COMFORT } from "@/core/physics";

export interface RemediesSeen {
  /** How the hand holds what is down when the note is struck; null where only one key is. */
  readonly predicament: Predicament | null;
  /** null while they are worked out, and where that broke off. */
  readonly tried: readonly RemedyTried[] | null;
  /** Whether working them out broke off for good. */
  readonly broke: boolean;
}

/** Remedies for the moment of a note, asked for where it strains or cannot be held. */
export function useRemedies(study: Study, note: NoteId | null, allows: Allowances, hasChosen: boolean): RemediesSeen {
  const predicament = useMemo(() => (note ? predicamentAt(study, note) : null), [study, note]);
  const several = predicament !== null && (predicament.down.length > 1 || hasChosen);
  const hard = several && (predicament.answer.kind === "out-of-reach" || predicament.answer.placement.strain > COMFORT);
  const wanted = hard || hasChosen ? note : null;
  const [found, setFound] = useState<{
    readonly for: NoteId;
    readonly on: Study;
    readonly tried: readonly RemedyTried[] | null;
  } | null>(null);
  useEffect(() => {
    if (wanted === null) return;
    let isWanted = true;
    void fingeringWorker()
      .remedies(wanted, allows)
      .catch(() => null)
      .then((tried) => {
        if (isWanted) setFound({ for: wanted, on: study, tried });
      });
    return () => {
      isWanted = false;
    };
  }, [wanted, allows, study]);
  const now = found && found.for === wanted && found.on === study ? found : null;
  return {
    predicament: wanted === null ? null : predicament,
    tried: now?.tried ?? null,
    broke: now !== null && now.tried === null,
  };
}
