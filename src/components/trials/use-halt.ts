"use client";

import { useCallback, useState } from "react";
import type { HaltSign } from "@/core/trials/felt";
import { playOn, stopPlaying } from "@/server/actions";
import type { HaltData } from "@/server/types";
import { ask } from "../keeping/ask";
import { newId } from "../new-id";

export interface HaltInHand {
  /** What holds the player back; null where nothing does. */
  readonly halt: HaltData | null;
  stop(sign: HaltSign): void;
  /** Only the player lifts it. */
  lift(): void;
}

/** The player stops at a sign of harm, and goes on when they say so. */
export function useHalt(playerId: string, given: HaltData | null): HaltInHand {
  const [halt, setHalt] = useState(given);
  const stop = useCallback(
    (sign: HaltSign) => {
      setHalt({ sign, since: new Date().toISOString() });
      const id = newId();
      void ask(`halt ${playerId}`, () => stopPlaying({ id, playerId, sign })).then((kept) => kept && setHalt(kept));
    },
    [playerId],
  );
  const lift = useCallback(() => {
    setHalt(null);
    void ask(`halt ${playerId}`, () => playOn({ playerId }));
  }, [playerId]);
  return { halt, stop, lift };
}
