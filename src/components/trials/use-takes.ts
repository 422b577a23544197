"use client";

import { useCallback, useEffect, useState } from "react";
import type { Felt } from "@/core/trials/felt";
import type { Take } from "@/core/trials/take";
import { keepTake, sayFelt, takesOfPassage } from "@/server/actions";
import type { OptionData, TakeData } from "@/server/types";
import { newId } from "../new-id";
import { ask } from "../keeping/ask";

export interface TakesInHand {
  /** Newest first; null until they have come. */
  readonly takes: readonly TakeData[] | null;
  /** Keeps a take on an option as it stands. @returns its id */
  keep(take: Take, option: Pick<OptionData, "id" | "version">): string;
  /** Asks for them again. */
  reload(): void;
  /** Keeps what was felt in one of them. */
  feel(takeId: string, felt: Felt): void;
}

/** The takes of a passage, once somebody looks at them. */
export function useTakes(passageId: string, isLookedAt: boolean): TakesInHand {
  const [takes, setTakes] = useState<readonly TakeData[] | null>(null);
  const isAsked = isLookedAt && takes === null;
  useEffect(() => {
    if (!isAsked) return;
    void ask(`takes ${passageId}`, () => takesOfPassage({ id: passageId })).then((found) => found && setTakes(found));
  }, [isAsked, passageId]);
  const keep = useCallback(
    ({ hands: _, keys, pedal, ...manner }: Take, option: Pick<OptionData, "id" | "version">): string => {
      const id = newId();
      const asked = {
        ...manner,
        id,
        passageId,
        fingeringId: option.id,
        version: option.version,
        keys: keys.map(({ key, downMs, upMs, velocity }) => [key, downMs, upMs, velocity]),
        pedal: pedal.map(({ ms, value }) => [ms, value]),
      };
      void ask(`takes ${passageId}`, () => keepTake(asked)).then((found) => found && setTakes(found));
      return id;
    },
    [passageId],
  );
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
  return { takes, keep, feel, reload };
}
