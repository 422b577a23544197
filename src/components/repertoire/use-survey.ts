"use client";

import { useCallback, useEffect, useRef, useState } from "react";
import type { Survey, SurveyData } from "@/core/reach/survey";
import { pieceToSurvey } from "@/server/actions";
import { surveyWorker } from "@/worker/clients";
import { telling } from "@/worker/progress";
import { send } from "../keeping/sending";

export type Surveying =
  | { readonly state: "working"; readonly done: number; readonly of: number }
  | { readonly state: "stopped" }
  | { readonly state: "failed"; readonly message: string }
  | { readonly state: "done"; readonly own: Survey; readonly other: Survey };

/** A piece surveyed on the player's keyboard, and for comparison on one of another octave width, in the background. */
export function useSurvey(pieceId: string, otherWidth: number) {
  const [surveying, setSurveying] = useState<Surveying>({ state: "working", done: 0, of: 0 });
  const data = useRef<SurveyData | null>(null);
  const own = useRef<Survey | null>(null);
  const ticket = useRef(0);

  const begin = useCallback(async () => {
    const mine = ++ticket.current;
    const set = (next: Surveying): void => {
      if (mine === ticket.current) setSurveying(next);
    };
    set({ state: "working", done: 0, of: 0 });
    if (data.current === null) {
      const answer = await send(`survey of ${pieceId}`, () => pieceToSurvey({ pieceId }));
      if (mine !== ticket.current) return;
      if (!answer.ok) return set({ state: "failed", message: answer.message });
      data.current = answer.value;
    }
    const given = data.current;
    const run = async (of: SurveyData, before: number): Promise<Survey | null> => {
      const progress = telling(([done, all]: readonly [number, number]) =>
        set({ state: "working", done: before + done, of: 2 * all }),
      );
      const answer = await surveyWorker().survey(of, progress.tell).finally(progress.end);
      return answer.stopped || mine !== ticket.current ? null : answer.found;
    };
    try {
      own.current ??= await run(given, 0);
      if (mine !== ticket.current) return;
      const other = own.current && (await run(atWidth(given, otherWidth), given.bars.length));
      set(own.current && other ? { state: "done", own: own.current, other } : { state: "stopped" });
    } catch {
      set({ state: "failed", message: "The computing broke off." });
    }
  }, [pieceId, otherWidth]);

  /** Whatever runs is no longer wanted. */
  const abandon = useCallback(() => {
    ticket.current++;
    void surveyWorker().stop();
  }, []);

  const stop = useCallback(() => {
    abandon();
    setSurveying({ state: "stopped" });
  }, [abandon]);

  useEffect(() => {
    // Beginning sets what is shown once the server or the worker has answered.
    void Promise.resolve().then(begin);
    return abandon;
  }, [begin, abandon]);

  return { surveying, begin, stop };
}

function atWidth(data: SurveyData, octaveWidth: number): SurveyData {
  return { ...data, study: { ...data.study, octaveWidth } };
}
