"use client";

import { useEffect, useMemo, useState } from "react";
import type { Figure } from "@/core/figures/figure";
import { staysOf } from "@/core/figures/stays";
import { staysAlong } from "@/core/figures/stays-along";
import { struckAgainIn, type StruckAgain } from "@/core/figures/struck-again";
import type { Tying } from "@/core/figures/tying";
import { turnsOf, waysBackOf, type WayBack } from "@/core/figures/ways-back";
import type { Stay } from "@/core/fingering/search/conditions";
import type { TyingPrice } from "@/core/options/asked/tying-price";
import type { Study } from "@/core/fingering/study/study";
import { fingeringWorker } from "@/worker/clients";

export interface FiguresSeen {
  /** null while they are looked for, and where that broke off. */
  readonly figures: readonly Figure[] | null;
  /** Where the hand stays; none while figures are looked for. */
  readonly stays: readonly Stay[];
  /** The same along figures that are moved, and from chord to chord of an accompaniment; none while figures are looked for. */
  readonly along: readonly Stay[];
  /** Where a line goes there and back; none while figures are looked for. */
  readonly waysBack: readonly WayBack[];
  /** The same where it is short and lies under one hand. */
  readonly turns: readonly WayBack[];
  /** Where keys are struck again and again; none while figures are looked for. */
  readonly struckAgain: readonly StruckAgain[];
  /** Whether looking for them broke off for good. */
  readonly broke: boolean;
  /** What the ties cost; null while it is worked out, and where there are none. */
  readonly price: TyingPrice | null;
}

/** Whether there is anything whose fingers could be kept. */
export function returnsAnything(
  seen: Pick<FiguresSeen, "figures" | "stays" | "along" | "waysBack" | "turns" | "struckAgain">,
): boolean {
  return [seen.figures ?? [], seen.stays, seen.along, seen.waysBack, seen.turns, seen.struckAgain].some(
    ({ length }) => length > 0,
  );
}

/** The figures of a study that return, where its hands stay, where a line turns back or keys are struck again, and what it costs that fingers are kept. */
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
  const stays = useMemo(() => (figures === null ? [] : staysOf(study, figures)), [study, figures]);
  const along = useMemo(() => (figures === null ? [] : staysAlong(study, figures, stays)), [study, figures, stays]);
  const waysBack = useMemo(() => (figures === null ? [] : waysBackOf(study)), [study, figures]);
  const turns = useMemo(() => (figures === null ? [] : turnsOf(study)), [study, figures]);
  const struckAgain = useMemo(() => (figures === null ? [] : struckAgainIn(study)), [study, figures]);
  const returning = { figures: figures ?? [], stays, along, waysBack, turns, struckAgain };
  const isAsked = returnsAnything(returning) && tying !== "none";
  useEffect(() => {
    if (!isAsked) return;
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
  }, [study, tying, isAsked]);
  const price = priced && priced.on === study && priced.tying === tying && isAsked ? priced.price : null;
  return {
    figures,
    stays,
    along,
    waysBack,
    turns,
    struckAgain,
    broke: found?.on === study && found.figures === null,
    price,
  };
}
