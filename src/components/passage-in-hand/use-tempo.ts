"use client";

import { parseAsInteger, useQueryState } from "nuqs";
import { startTransition, useEffect, useMemo, useState } from "react";
import type { Fingering } from "@/core/fingering/study/fingering";
import type { Judged, Study } from "@/core/fingering/study/study";
import type { FingeringWishes } from "@/core/options/asked/wishes";
import { TEMPO_RANGE } from "@/core/passage/passage";
import { fingeringWorker } from "@/worker/clients";
import type { OptionJudged } from "./option-cards";

export interface TempoInHand {
  /** Quarter notes a minute. */
  readonly tempo: number;
  readonly target: number;
  /** From slow to above the target. */
  readonly range: readonly [number, number];
  /** The options as they strain at the tempo in hand. */
  readonly all: readonly OptionJudged[];
  /** The best that the engine finds at the tempo in hand; null until it is found. */
  readonly best: Judged | null;
  setTempo(tempo: number): void;
}

/** Shares of the target between which the slider goes. */
const SLOWEST = 0.4;
const FASTEST = 1.4;
/** ms after which the tempo in the address follows. */
const ADDRESS_FOLLOWS = 400;

/** The tempo in hand, kept in the address; away from the target every option is judged anew in the worker. */
export function useTempo(
  study: Study,
  all: readonly OptionJudged[],
  target: number,
  wishes: FingeringWishes,
): TempoInHand {
  const [named, setNamed] = useQueryState(
    "tempo",
    parseAsInteger.withOptions({ limitUrlUpdates: { method: "debounce", timeMs: ADDRESS_FOLLOWS } }),
  );
  const range = useMemo(() => tempoRangeAbout(target), [target]);
  const tempo = named === null ? target : Math.min(range[1], Math.max(range[0], named));
  const judged = useJudgedAt(study, all, tempo, target);
  const best = useBestAt(study, tempo, wishes);
  return { tempo, target, range, all: judged, best, setTempo: (next) => void setNamed(next === target ? null : next) };
}

/** From slow to above the target, in whole quarter notes a minute. */
export function tempoRangeAbout(target: number): readonly [number, number] {
  const low = Math.max(TEMPO_RANGE[0], Math.round(target * SLOWEST));
  return [low, Math.min(TEMPO_RANGE[1], Math.round(target * FASTEST))];
}

/** What was judged at a tempo, by the digits it was judged on. */
interface JudgedAt {
  readonly on: Study;
  readonly tempo: number;
  readonly known: ReadonlyMap<Fingering, Judged>;
}

function useJudgedAt(
  study: Study,
  all: readonly OptionJudged[],
  tempo: number,
  target: number,
): readonly OptionJudged[] {
  const [found, setFound] = useState<JudgedAt | null>(null);
  const isAway = tempo !== target;
  useEffect(() => {
    if (!isAway) return;
    const digits = all.map(({ option }) => option.digits);
    void fingeringWorker()
      .atTempo(tempo, digits)
      .then((answer) => {
        if (answer.stopped) return;
        const known = new Map(digits.map((each, i) => [each, answer.found[i]!]));
        startTransition(() => setFound({ on: study, tempo, known }));
      });
  }, [study, all, tempo, isAway]);
  return useMemo(() => {
    // What was judged on other music says nothing any more.
    if (!isAway || found === null || found.on !== study) return all;
    return all.map(({ option, judged }) => ({ option, judged: found.known.get(option.digits) ?? judged }));
  }, [study, all, found, isAway]);
}

function useBestAt(study: Study, tempo: number, wishes: FingeringWishes): Judged | null {
  const [best, setBest] = useState<{ readonly of: readonly unknown[]; readonly judged: Judged } | null>(null);
  useEffect(() => {
    let isWanted = true;
    void fingeringWorker()
      .bestAtTempo(tempo, wishes)
      .then((answer) => {
        if (isWanted && !answer.stopped)
          startTransition(() => setBest({ of: [study, tempo, wishes], judged: answer.found }));
      });
    return () => {
      isWanted = false;
    };
  }, [study, tempo, wishes]);
  // What was found for other music, another tempo or other wishes says nothing any more.
  return best && best.of[0] === study && best.of[1] === tempo && best.of[2] === wishes ? best.judged : null;
}
