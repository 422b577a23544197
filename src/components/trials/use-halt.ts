"use client";

import { useCallback, useState } from "react";
import type { HaltSign } from "@/core/trials/felt";
import { playOn, stopPlaying } from "@/server/actions";
import type { HaltData } from "@/server/types";
import { ask } from "../keeping/ask";
import type { Keeping } from "../keeping/sending";
import { useKeeping } from "../keeping/use-keeping";
import { newId } from "../new-id";

export interface HaltInHand {
  /** What holds the player back; null where nothing does. */
  readonly halt: HaltData | null;
  stop(sign: HaltSign): void;
  /** Only the player lifts it. */
  lift(): void;
  /** How it stands with the server. */
  readonly keeping: Keeping;
}

/** The player stops at a sign of harm, and goes on when they say so. */
export function useHalt(playerId: string, given: HaltData | null): HaltInHand {
  const [halt, setHalt] = useState(given);
  const place = `halt ${playerId}`;
  const stop = useCallback(
    (sign: HaltSign) => {
      setHalt({ sign, since: new Date().toISOString() });
      const id = newId();
      void ask(place, () => stopPlaying({ id, playerId, sign })).then((kept) => kept && setHalt(kept));
    },
    [place, playerId],
  );
  const lift = useCallback(() => {
    setHalt(null);
    void ask(place, () => playOn({ playerId }));
  }, [place, playerId]);
  return { halt, stop, lift, keeping: useKeeping(place) };
}
