"use client";

import { useCallback, useEffect, useState } from "react";
import { proxy } from "comlink";
import { toast } from "sonner";
import { keepFirstOptions } from "@/server/actions";
import type { OptionData, PassageData } from "@/server/types";
import { fingeringWorker } from "@/worker/clients";

export type Working = { readonly state: "idle" } | { readonly state: "working"; readonly share: number } | { readonly state: "stopped" };

/** Works out the options of a passage that has none yet, in the worker, with progress; it can be stopped and begun again. */
export function useFirstOptions(data: PassageData, onKept: (options: readonly OptionData[]) => void): { working: Working; stop: () => void; begin: () => void } {
  const [working, setWorking] = useState<Working>(data.options.length === 0 ? { state: "working", share: 0 } : { state: "idle" });
  const begin = useCallback(() => {
    setWorking({ state: "working", share: 0 });
    void (async () => {
      const onProgress = proxy(({ done, of }: { done: number; of: number }) => setWorking({ state: "working", share: done / of }));
      const answer = await fingeringWorker().firstOptions(data.study, onProgress);
      if (answer.stopped) return setWorking({ state: "stopped" });
      const options = answer.found.map(({ fingering, ...option }) => ({ ...option, digits: fingering }));
      const kept = await keepFirstOptions({ passageId: data.id, options });
      if (!kept.ok) return toast.error(kept.message);
      onKept(kept.value);
      setWorking({ state: "idle" });
    })();
  }, [data.id, data.study, onKept]);
  useEffect(() => {
    if (data.options.length === 0) begin();
    // Once, when the passage is opened.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);
  return { working, stop: () => void fingeringWorker().stop(), begin };
}
