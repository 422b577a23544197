"use client";

import { useState } from "react";
import { changeOfBlock, planMyDay } from "@/server/actions/practice";
import type { Answer, TodayData } from "@/server/types";
import { useAsk } from "../keeping/ask";
import { newId } from "../new-id";
import { toast } from "sonner";

/** What is made of a block by hand. */
export type BlockMade =
  | { readonly kind: "move"; readonly before: string | null }
  | { readonly kind: "minutes"; readonly minutes: number }
  | { readonly kind: "strike" | "restore" | "undone" }
  | {
      readonly kind: "done";
      readonly minutes: number;
      readonly tempo: number | null;
      readonly count: { readonly good: number; readonly plays: number } | null;
      readonly loose: boolean | null;
      readonly note: string;
    };

export interface TodayInHand {
  readonly today: TodayData;
  readonly busy: boolean;
  plan(minutes: number, isCold: boolean): Promise<void>;
  change(id: string, change: BlockMade): Promise<void>;
}

/** The day in hand: planned, changed, and done block by block, each kept as it is said. */
export function useToday(given: TodayData): TodayInHand {
  const [said, say] = useState<{ readonly from: TodayData; readonly now: TodayData }>({ from: given, now: given });
  const today = said.from === given ? said.now : given;
  const { busy, ask } = useAsk("today");
  const { playerId } = given;
  const asking = async (call: () => Promise<Answer<TodayData>>): Promise<void> => {
    const answer = await ask(call);
    if (answer.ok) say({ from: given, now: answer.value });
    else toast.error(answer.message);
  };
  return {
    today,
    busy,
    plan: (minutes, isCold) => {
      const asked = { playerId, request: newId(), minutes, isCold };
      return asking(() => planMyDay(asked));
    },
    change: (id, change) => {
      const asked = { id, request: newId(), playerId, change };
      return asking(() => changeOfBlock(asked));
    },
  };
}
