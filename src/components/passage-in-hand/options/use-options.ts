"use client";

import { useEffect, useMemo, useRef, useState, useSyncExternalStore } from "react";
import { toast } from "sonner";
import type { FingeringWishes } from "@/core/options/asked/wishes";
import { changeOption, walkEdits } from "@/server/actions";
import type { OptionData, PassageData } from "@/server/types";
import { fingeringWorker } from "@/worker/clients";
import { pendingIn } from "../../keeping/pending";
import { send, stateOf, type Keeping } from "../../keeping/sending";
import { useKeeping } from "../../keeping/use-keeping";
import { useLeaveWarning } from "../../keeping/use-leave-warning";
import type { OptionChange } from "./change";
import type { Outdated } from "./held-options";
import { optionsInHand, type OptionsGestures } from "./options-in-hand";
import { newId } from "../../new-id";

export interface OptionsHeld extends OptionsGestures {
  readonly options: readonly OptionData[];
  readonly keeping: Keeping;
  readonly outdated: Outdated | null;
}

/** Times that digits are asked for again where the study at hand has changed meanwhile. */
const MOST_TRIES = 3;

/**
 * The options of a passage on a page; see options-in-hand.
 * @param wishes that every search keeps to
 */
export function useOptions(data: PassageData, wishes: FingeringWishes = data.wishes): OptionsHeld {
  const place = `passage ${data.id}`;
  const asked = useRef(wishes);
  useEffect(() => {
    asked.current = wishes;
  }, [wishes]);
  const [{ inHand, wouldLose }] = useState(() => {
    const kept = pendingIn<OptionChange>(place);
    // Whether what is on its way is kept in this browser too.
    let isSafe = true;
    const pending = { ...kept, put: (change: OptionChange) => (isSafe = kept.put(change)) };
    const made = optionsInHand(data.options, {
      pending,
      async around(option) {
        for (let tries = 0; tries < MOST_TRIES; tries++) {
          try {
            const answer = await fingeringWorker().around({ ...option, wishes: asked.current });
            if (!answer.stopped) return answer.found;
          } catch {
            return null;
          }
        }
        return null;
      },
      send: (call) => send(place, call),
      change: changeOption,
      walk: walkEdits,
      refused: (message) => void toast.error(message),
      overtaken: () => void toast("Another window had changed this option; it is shown as it stands now."),
      newId: () => newId(),
      later(ms, call) {
        const soon = setTimeout(call, ms);
        return () => clearTimeout(soon);
      },
    });
    return { inHand: made, wouldLose: () => !isSafe && ["keeping", "waiting"].includes(stateOf(place)) };
  });
  const { options, outdated } = useSyncExternalStore(inHand.subscribe, inHand.shown, inHand.shown);
  const keeping = useKeeping(place);
  useLeaveWarning(wouldLose);
  useEffect(() => inHand.resume(), [inHand]);
  // What comes with the page made new is newer than what it came with before.
  const given = useRef(data.options);
  useEffect(() => {
    if (given.current === data.options) return;
    given.current = data.options;
    inHand.setOptions(data.options);
  }, [data.options, inHand]);
  return useMemo(() => {
    const { setOptions, pin, ruleOut, pinStretch, clearStretch, walk, keepTheirs, keepMine } = inHand;
    const gestures = { setOptions, pin, ruleOut, pinStretch, clearStretch, walk, keepTheirs, keepMine };
    return { options, outdated, keeping, ...gestures };
  }, [inHand, options, outdated, keeping]);
}
