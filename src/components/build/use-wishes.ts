"use client";

import { useCallback, useState } from "react";
import { toast } from "sonner";
import type { FingeringWishes } from "@/core/fingering/wishes";
import type { NoteId } from "@/core/passage/note";
import type { HandsTaken } from "@/core/passage/passage";
import { allowOtherHand, giveHands, wish } from "@/server/actions";
import type { OptionData, PassageData } from "@/server/types";

export interface WishesInHand {
  readonly wishes: FingeringWishes;
  readonly marked: readonly NoteId[];
  setWishes(wishes: FingeringWishes): void;
  mark(note: NoteId, marked: boolean): void;
  take(taken: HandsTaken): Promise<void>;
}

/**
 * What is asked of every fingering of a passage: shown at once, kept in the background, options worked out anew.
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
  const { id: passageId } = data;
  const setWishes = useCallback(
    (next: FingeringWishes) => {
      show(next);
      void wish({ passageId, wishes: next }).then((answer) => {
        if (answer.ok) onOptions(answer.value);
        else toast.error(answer.message);
      });
    },
    [passageId, show, onOptions],
  );
  const mark = useCallback(
    (noteId: NoteId, isMarked: boolean) => {
      setMarked((before) => (isMarked ? [...before, noteId] : before.filter((id) => id !== noteId)));
      void allowOtherHand({ passageId, noteId, marked: isMarked }).then((answer) => {
        if (!answer.ok) toast.error(answer.message);
      });
    },
    [passageId],
  );
  const take = useCallback(
    async (taken: HandsTaken) => {
      const answer = await giveHands({ passageId, taken });
      if (answer.ok) onOptions(answer.value.options);
      else toast.error(answer.message);
    },
    [passageId, onOptions],
  );
  return { wishes, marked, setWishes, mark, take };
}
