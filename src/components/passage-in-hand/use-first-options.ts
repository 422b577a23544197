"use client";

import { useCallback, useEffect, useState } from "react";
import { toast } from "sonner";
import { keepFirstOptions } from "@/server/actions";
import type { OptionData, PassageData } from "@/server/types";
import { fingeringWorker } from "@/worker/clients";
import { telling } from "@/worker/progress";
import { send } from "../keeping/sending";

export type Working =
  | { readonly state: "idle" }
  | { readonly state: "working"; readonly share: number }
  | { readonly state: "stopped" }
  | { readonly state: "failed"; readonly message: string };

interface FirstOptions {
  readonly working: Working;
  stop(): void;
  begin(): void;
}

/** Works out the options of a passage that has none yet, in the worker, with progress; it can be stopped and begun again. */
export function useFirstOptions(data: PassageData, onKept: (options: readonly OptionData[]) => void): FirstOptions {
  const missing = data.options.length === 0;
  const [working, setWorking] = useState<Working>(missing ? { state: "working", share: 0 } : { state: "idle" });
  const workOut = useCallback(async (): Promise<void> => {
    const progress = telling(({ done, of }: { done: number; of: number }) =>
      setWorking({ state: "working", share: done / of }),
    );
    const answer = await fingeringWorker()
      .firstOptions(progress.tell)
      .catch(() => null);
    progress.end();
    if (answer === null) return setWorking({ state: "failed", message: "The computing broke off." });
    if (answer.stopped) return setWorking({ state: "stopped" });
    const options = answer.found.map(({ fingering, ...option }) => ({ ...option, digits: fingering }));
    // They stand on the page only when they are kept, for every change of them names what is kept.
    const kept = await send(`passage ${data.id}`, () => keepFirstOptions({ passageId: data.id, options }));
    if (!kept.ok) {
      toast.error(kept.message);
      return setWorking({ state: "failed", message: kept.message });
    }
    onKept(kept.value);
    setWorking({ state: "idle" });
  }, [data.id, onKept]);
  useEffect(() => {
    // Every change of state comes later, when the worker answers.
    // eslint-disable-next-line react-hooks/set-state-in-effect
    if (missing) void workOut();
  }, [missing, workOut]);
  return {
    working,
    stop: () => void fingeringWorker().stop("first options"),
    begin: () => {
      setWorking({ state: "working", share: 0 });
      void workOut();
    },
  };
}
