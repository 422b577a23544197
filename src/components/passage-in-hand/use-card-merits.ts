"use client";

import { useDeferredValue, useMemo } from "react";
import type { Figure } from "@/core/figures/figure";
import { fingered, meritById } from "@/core/merits";
import type { Fingering } from "@/core/fingering/study/fingering";
import type { Judged, Study } from "@/core/fingering/study/study";
import type { CardMerits, OptionJudged } from "./option-cards";

/** The figures on the cards, by option; worked out after the digits are drawn, and anew only for what has changed. */
export function useCardMerits(
  study: Study,
  all: readonly OptionJudged[],
  figures: readonly Figure[] | null,
): ReadonlyMap<string, CardMerits> {
  const later = useDeferredValue(all);
  const find = useMemo(() => finder(study, figures ?? []), [study, figures]);
  return useMemo(
    () => new Map(later.map(({ option, judged }) => [option.id, find(option.digits, judged)])),
    [later, find],
  );
}

function finder(study: Study, figures: readonly Figure[]): (digits: Fingering, judged: Judged) => CardMerits {
  const known = new WeakMap<Fingering, CardMerits>();
  return (digits, judged) => {
    const found = known.get(digits) ?? meritsOf(study, judged, figures);
    known.set(digits, found);
    return found;
  };
}

function meritsOf(study: Study, judged: Judged, figures: readonly Figure[]): CardMerits {
  const given = fingered(study, judged, figures);
  const amount = (id: string): number => meritById(id).find(given).amount;
  return {
    widest: meritById("widest-opening").find(given),
    moves: amount("moves"),
    passes: amount("passes"),
    traps: amount("traps"),
  };
}
