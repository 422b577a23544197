"use client";

import { useCallback, useEffect, useMemo, useState } from "react";
import { toast } from "sonner";
import type { FingeringWishes } from "@/core/fingering/wishes";
import type { NoteId } from "@/core/passage/note";
import type { HandsTaken } from "@/core/passage/passage";
import { allowOtherHand, giveHands, wish } from "@/server/actions";
import type { Answer, OptionData, PassageData } from "@/server/types";
import { outbox, type Keeping } from "../keeping/outbox";
import { pendingIn } from "../keeping/pending";

export interface WishesInHand {
  readonly wishes: FingeringWishes;
  readonly marked: readonly NoteId[];
  readonly keeping: Keeping;
  setWishes(wishes: FingeringWishes): void;
  mark(note: NoteId, marked: boolean): void;
  take(taken: HandsTaken): Promise<void>;
}

/** Something asked of the passage, on its way; the newest of a kind counts. */
type Asked =
  | { readonly id: "wishes"; readonly wishes: FingeringWishes }
  | { readonly id: "taken"; readonly taken: HandsTaken }
  | { readonly id: string; readonly noteId: NoteId; readonly marked: boolean };

/**
 * What is asked of every fingering of a passage: shown at once, kept in the background, options worked out anew. What was
 * on its way when the page was last closed is sent again.
 * @param wishes as shown, and `show` to show others
 * @param onOptions told what the options have become
 */
export function usePassageWishes(
  data: PassageData,
  wishes: FingeringWishes,
  show: (wishes: FingeringWishes) => void,
  onOptions: (options: readonly OptionData[]) => void,
): WishesInHand {
  const [marked, setMarked] = useState(data.marked);
  const [keeping, setKeeping] = useState<Keeping>("kept");
  const { id: passageId } = data;
  const pending = useMemo(() => pendingIn<Asked>(`wishes ${passageId}`), [passageId]);
  const box = useMemo(() => outbox(setKeeping, (ms) => new Promise((resolve) => setTimeout(resolve, ms))), []);

  const send = useCallback(
    (asked: Asked): Promise<void> => {
      pending.put(asked);
      box.send(async () => {
        const answer = await sent(passageId, asked);
        pending.remove(asked.id);
        if (!answer.ok) toast.error(answer.message);
        else if (answer.value) onOptions(answer.value);
      });
      return box.settled();
    },
    [box, pending, passageId, onOptions],
  );
  useEffect(() => {
    for (const asked of pending.all()) {
      if ("wishes" in asked) show(asked.wishes);
      void send(asked);
    }
  }, [pending, send, show]);

  const setWishes = useCallback(
    (next: FingeringWishes) => {
      show(next);
      void send({ id: "wishes", wishes: next });
    },
    [send, show],
  );
  const mark = useCallback(
    (noteId: NoteId, isMarked: boolean) => {
      setMarked((before) => (isMarked ? [...before, noteId] : before.filter((id) => id !== noteId)));
      void send({ id: `mark ${noteId}`, noteId, marked: isMarked });
    },
    [send],
  );
  const take = useCallback((taken: HandsTaken) => send({ id: "taken", taken }), [send]);
  return { wishes, marked, keeping, setWishes, mark, take };
}

/** Asks the server; gives back what the options have become, or nothing where they stay. */
async function sent(passageId: string, asked: Asked): Promise<Answer<readonly OptionData[] | null>> {
  if ("wishes" in asked) return wish({ passageId, wishes: asked.wishes });
  if ("noteId" in asked) return allowOtherHand({ passageId, noteId: asked.noteId, marked: asked.marked });
  const answer = await giveHands({ passageId, taken: asked.taken });
  return answer.ok ? { ok: true, value: answer.value.options } : answer;
}
