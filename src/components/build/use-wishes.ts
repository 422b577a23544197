"use client";

import { useCallback, useEffect, useMemo, useState } from "react";
import { toast } from "sonner";
import { mergedWishes, type FingeringWishes } from "@/core/options/asked/wishes";
import type { NoteId } from "@/core/passage/note";
import { mergedTaken, type Redistribution } from "@/core/passage/passage";
import { allowOtherHand, giveHands, wish } from "@/server/actions";
import type { OptionData, PassageData } from "@/server/types";
import { send, worstOf, type Keeping } from "../keeping/sending";
import { useKeeping } from "../keeping/use-keeping";
import { pendingIn } from "../keeping/pending";
import { useShared, type WholeChange } from "../keeping/use-shared";
import { newId } from "../new-id";

export interface WishesInHand {
  readonly wishes: FingeringWishes;
  readonly marked: readonly NoteId[];
  readonly taken: Redistribution;
  readonly keeping: Keeping;
  setWishes(wishes: FingeringWishes): void;
  mark(note: NoteId, marked: boolean): void;
  take(taken: Redistribution): Promise<void>;
  /** Takes back a change of what is asked, or of what one hand takes; what was changed after it stays. */
  takeBackWishes(change: WholeChange<FingeringWishes>): void;
  takeBackTaken(change: WholeChange<Redistribution>): void;
}

type OnOptions = (options: readonly OptionData[]) => void;

/**
 * What is asked of every fingering of a passage: shown at once, kept in the background, options worked out anew.
 * @param wishes as shown, and `show` to show others
 * @param onOptions told what the options have become
 */
export function usePassageWishes(
  data: PassageData,
  wishes: FingeringWishes,
  show: (wishes: FingeringWishes) => void,
  onOptions: OnOptions,
): WishesInHand {
  const shared = useShared<FingeringWishes>({
    passageId: data.id,
    what: "wishes",
    given: data.wishes,
    show,
    merge: mergedWishes,
    keep: wish,
    onOptions,
  });
  const marks = useMarkedNotes(data);
  const hands = useHandsTaken(data, onOptions);
  const { set, takeBack } = shared;
  return {
    wishes,
    marked: marks.marked,
    taken: hands.taken,
    keeping: worstOf([shared.keeping, marks.keeping, hands.keeping]),
    setWishes: useCallback((next: FingeringWishes) => void set(next), [set]),
    mark: marks.mark,
    take: hands.set,
    takeBackWishes: useCallback((change) => void takeBack(change), [takeBack]),
    takeBackTaken: hands.takeBack,
  };
}

/** Which notes one hand takes from the other. */
function useHandsTaken({ id: passageId, study }: PassageData, onOptions: OnOptions) {
  const given = useMemo(() => study.passage.taken ?? {}, [study]);
  const [taken, show] = useState<Redistribution>(given);
  const shared = useShared<Redistribution>({
    passageId,
    what: "taken",
    given,
    show,
    merge: mergedTaken,
    keep: giveHands,
    onOptions,
  });
  return { taken, ...shared };
}

interface Marking {
  readonly id: string;
  readonly noteId: NoteId;
  readonly marked: boolean;
}

/** Notes that the other hand may take, each marked on its own. */
function useMarkedNotes({ id: passageId, marked: given }: PassageData) {
  const place = `marked ${passageId}`;
  const [marked, setMarked] = useState(given);
  const keeping = useKeeping(place);
  const pending = useMemo(() => pendingIn<Marking>(place), [place]);
  const mark = useCallback(
    (noteId: NoteId, isMarked: boolean) => {
      const show = (on: boolean): void =>
        setMarked((before) => (on ? [...new Set([...before, noteId])] : before.filter((id) => id !== noteId)));
      const marking: Marking = { id: newId(), noteId, marked: isMarked };
      show(isMarked);
      pending.put(marking);
      void send(place, () => allowOtherHand({ ...marking, passageId })).then((answer) => {
        if (!answer.ok) toast.error(answer.message);
        if (!answer.ok && answer.renewed) return;
        pending.remove(marking.id);
        if (!answer.ok) show(!isMarked);
      });
    },
    [place, pending, passageId],
  );
  useEffect(() => {
    const left = pending.all();
    for (const { id } of left) pending.remove(id);
    queueMicrotask(() => left.forEach((asked) => mark(asked.noteId, asked.marked)));
  }, [pending, mark]);
  return { marked, keeping, mark };
}
