"use client";

import { useCallback, useEffect, useMemo, useState } from "react";
import { toast } from "sonner";
import type { Felt } from "@/core/trials/felt";
import type { Take } from "@/core/trials/take";
import { keepTake, sayFelt, takesOfPassage } from "@/server/actions";
import type { OptionData, TakeData } from "@/server/types";
import { newId } from "../new-id";
import { ask } from "../keeping/ask";
import { pendingIn } from "../keeping/pending";
import { send, type Keeping } from "../keeping/sending";
import { useKeeping } from "../keeping/use-keeping";

export interface TakesInHand {
  /** Newest first; null until they have come. */
  readonly takes: readonly TakeData[] | null;
  /** Keeps a take on an option as it stands. @returns its id */
  keep(take: Take, option: Pick<OptionData, "id" | "version">): string;
  /** How they stand with the server. */
  readonly keeping: Keeping;
  /** Asks for them again. */
  reload(): void;
  /** Keeps what was felt in one of them. */
  feel(takeId: string, felt: Felt): void;
}

/** A take on its way to the server, its keys packed. */
interface TakeSent extends Pick<Take, "source" | "tempo" | "click" | "snip"> {
  readonly id: string;
  readonly passageId: string;
  readonly fingeringId: string;
  readonly version: number;
  readonly keys: readonly (readonly [key: number, downMs: number, upMs: number | null, velocity: number])[];
  readonly pedal: readonly (readonly [ms: number, value: number])[];
}

/** The takes of a passage, once somebody looks at them. */
export function useTakes(passageId: string, isLookedAt: boolean): TakesInHand {
  const [takes, setTakes] = useState<readonly TakeData[] | null>(null);
  const isAsked = isLookedAt && takes === null;
  useEffect(() => {
    if (!isAsked) return;
    void ask(`takes ${passageId}`, () => takesOfPassage({ id: passageId })).then((found) => found && setTakes(found));
  }, [isAsked, passageId]);
  const pending = useMemo(() => pendingIn<TakeSent>(`takes ${passageId}`), [passageId]);
  const sendTake = useCallback(
    async (asked: TakeSent): Promise<void> => {
      const answer = await send(`takes ${passageId}`, () => keepTake(asked));
      if (answer.ok) setTakes(answer.value);
      else toast.error(answer.message);
      if (answer.ok || !answer.renewed) pending.remove(asked.id);
    },
    [passageId, pending],
  );
  const keep = useCallback(
    ({ hands: _, keys, pedal, ...manner }: Take, option: Pick<OptionData, "id" | "version">): string => {
      const id = newId();
      const asked: TakeSent = {
        ...manner,
        id,
        passageId,
        fingeringId: option.id,
        version: option.version,
        keys: keys.map(({ key, downMs, upMs, velocity }) => [key, downMs, upMs, velocity] as const),
        pedal: pedal.map(({ ms, value }) => [ms, value] as const),
      };
      pending.put(asked);
      void sendTake(asked);
      return id;
    },
    [passageId, pending, sendTake],
  );
  // What was on its way when the page was closed is sent again.
  useEffect(() => {
    const left = pending.all();
    queueMicrotask(() => left.forEach((one) => void sendTake(one)));
  }, [pending, sendTake]);
  const feel = useCallback(
    (takeId: string, felt: Felt): void =>
      void ask(`takes ${passageId}`, () => sayFelt({ ...felt, takeId })).then((found) => found && setTakes(found)),
    [passageId],
  );
  const reload = useCallback(
    () =>
      void ask(`takes ${passageId}`, () => takesOfPassage({ id: passageId })).then((found) => found && setTakes(found)),
    [passageId],
  );
  return { takes, keep, feel, reload, keeping: useKeeping(`takes ${passageId}`) };
}
