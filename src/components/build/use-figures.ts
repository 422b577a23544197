"use client";

import { useEffect, useState } from "react";
import type { Figure } from "@/core/figures/figure";
import type { Tying } from "@/core/figures/tying";
import type { TyingPrice } from "@/core/options/asked/tying-price";
import type { Study } from "@/core/fingering/study/study";
import { fingeringWorker } from "@/worker/clients";

export interface FiguresSeen {
  /** null while they are looked for, and where that broke off. */
  readonly figures: readonly Figure[] | null;
  /** Whether looking for them broke off for good. */
  readonly broke: boolean;
  /** What the ties cost; null while it is worked out, and where there are none. */
  readonly price: TyingPrice | null;
}

/** The figures of a study that return, and what keeping their fingers costs. */
export function useFigures(study: Study, tying: Tying): FiguresSeen {
  const [found, setFound] = useState<{ readonly on: Study; readonly figures: readonly Figure[] | null } | null>(null);
  const [priced, setPriced] = useState<{
    readonly on: Study;
    readonly tying: Tying;
    readonly price: TyingPrice;
  } | null>(null);
  useEffect(() => {
    let isWanted = true;
    void fingeringWorker()
      .figures()
      .catch(() => null)
      .then((figures) => {
        if (isWanted) setFound({ on: study, figures });
      });
    return () => {
      isWanted = false;
    };
  }, [study]);
  const figures = found?.on === study ? found.figures : null;
  const hasFigures = figures !== null && figures.length > 0 && tying !== "none";
  useEffect(() => {
    if (!hasFigures) return;
    let isWanted = true;
    void fingeringWorker()
      .tyingPrice(tying)
      .then(
        (price) => {
          if (isWanted) setPriced({ on: study, tying, price });
        },
        () => undefined,
      );
    return () => {
      isWanted = false;
    };
  }, [study, tying, hasFigures]);
  const price = priced && priced.on === study && priced.tying === tying && hasFigures ? priced.price : null;
  return { figures, broke: found?.on === study && found.figures === null, price };
}
