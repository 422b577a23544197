"use client";

import { useCallback, useState } from "react";
import { toast } from "sonner";
import type { Answer } from "@/server/types";
import { send, type Sent } from "./sending";

/** Sends something by itself, and says why where it is refused. @returns null where it is refused */
export async function ask<T>(place: string, call: () => Promise<Answer<T>>): Promise<T | null> {
  const answer = await send(place, call);
  if (answer.ok) return answer.value;
  toast.error(answer.message);
  return null;
}

/** The same for a form or a button: busy until it is answered. */
export function useAsk(place: string): {
  readonly busy: boolean;
  ask<T>(call: () => Promise<Answer<T>>): Promise<Sent<T>>;
} {
  const [busy, setBusy] = useState(false);
  const asking = useCallback(
    async <T>(call: () => Promise<Answer<T>>): Promise<Sent<T>> => {
      setBusy(true);
      const answer = await send(place, call);
      setBusy(false);
      return answer;
    },
    [place],
  );
  return { busy, ask: asking };
}
