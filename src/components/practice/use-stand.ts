"use client";

import { useCallback, useRef, useState } from "react";
import { keepPractice } from "@/server/actions/practice";
import type { PracticeStand } from "@/server/types";
import { send } from "../keeping/sending";

type Stand = Pick<PracticeStand, "ladder" | "count" | "worked">;

export interface StandInHand extends Stand {
  /** What it becomes is kept with the player. */
  set(part: Partial<Stand>): void;
}

/** Where the practice of a passage stands, kept with the player at every change. */
export function useStand(passageId: string, given: PracticeStand): StandInHand {
  const [stand, show] = useState<Stand>({ ladder: given.ladder, count: given.count, worked: given.worked });
  const now = useRef(stand);
  const set = useCallback(
    (part: Partial<Stand>): void => {
      const next = { ...now.current, ...part };
      now.current = next;
      show(next);
      void send(`practice ${passageId}`, () => keepPractice({ passageId, ...next }));
    },
    [passageId],
  );
  return { ...stand, set };
}
