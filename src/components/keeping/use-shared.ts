"use client";

import { useCallback, useEffect, useMemo, useRef } from "react";
import { toast } from "sonner";
import type { Answer, OptionData, WholeKept } from "@/server/types";
import { pendingIn } from "./pending";
import { send, settled, type Keeping } from "./sending";
import { useKeeping } from "./use-keeping";
import { newId } from "../new-id";

/** What one window made of a value, and where it began. */
export interface WholeChange<T> {
  readonly before: T;
  readonly after: T;
}

interface Asked<T> {
  readonly passageId: string;
  /** What it is: under this name it is kept in this browser until the server has answered. */
  readonly what: string;
  /** As the server gave it with the page. */
  readonly given: T;
  show(value: T): void;
  /** Puts together what two windows made of it. */
  merge(before: T, mine: T, theirs: T): T;
  /** Keeps a change; answers with what it came to, changes of other windows included. */
  keep(asked: WholeChange<T> & { readonly id: string; readonly passageId: string }): Promise<Answer<WholeKept<T>>>;
  /** Told what the options have become. */
  onOptions(options: readonly OptionData[]): void;
}

export interface SharedInHand<T> {
  readonly keeping: Keeping;
  /** Gives it another state; resolves when everything up to now is answered. */
  set(after: T): Promise<void>;
  /** Takes a change back; what was changed after it stays. */
  takeBack(change: WholeChange<T>): Promise<void>;
}

/** A change that has not been answered yet, by the window that made it. */
type Unsent<T> = WholeChange<T> & { readonly id: string };

/**
 * Something that a passage holds whole, and several windows may change: shown at once, kept in the background, and sent
 * again when the page was closed on the way. What another window has made of it comes with the answer. What the server
 * refuses is taken back.
 * @param asked its functions must stay the same from one drawing to the next
 */
export function useShared<T>({ passageId, what, given, show, merge, keep, onOptions }: Asked<T>): SharedInHand<T> {
  const place = `${what} ${passageId}`;
  const keeping = useKeeping(place);
  const pending = useMemo(() => pendingIn<Unsent<T>>(place), [place]);
  // This window's own change among those that wait in this browser; other windows have theirs.
  const slot = useRef<string | null>(null);
  // What the server has, and what this window has made of it.
  const held = useRef({ base: given, newest: given });

  const hold = useCallback(
    (base: T, newest: T) => {
      held.current = { base, newest };
      slot.current ??= newId();
      if (base === newest) pending.remove(slot.current);
      else pending.put({ id: slot.current, before: base, after: newest });
    },
    [pending],
  );
  const sendNow = useCallback((): Promise<void> => {
    let asked: { readonly id: string; readonly before: T; readonly after: T } | null = null;
    void send(place, async (): Promise<Answer<WholeKept<T> | null>> => {
      const { base: before, newest: after } = held.current;
      // It went out with an earlier change.
      if (!asked && before === after) return { ok: true, value: null };
      asked ??= { id: newId(), before, after };
      return keep({ ...asked, passageId });
    }).then((answer) => {
      if (!asked) return;
      const { newest } = held.current;
      if (!answer.ok) {
        toast.error(answer.message);
        if (answer.renewed) return;
        // What was refused goes; what was changed after it stays, on what the server has.
        const back = newest === asked.after ? asked.before : merge(asked.after, newest, asked.before);
        hold(asked.before, back);
        show(back);
        return;
      }
      if (!answer.value) return;
      const { is, options } = answer.value;
      onOptions(options);
      const merged = newest === asked.after ? is : merge(asked.after, newest, is);
      hold(is, merged);
      show(merged);
    });
    return settled(place);
  }, [place, passageId, keep, merge, show, hold, onOptions]);

  useEffect(() => {
    const left = pending.all();
    if (left.length === 0) return;
    // Windows that were closed on the way left a change each: one after another they are put together.
    const [first, ...others] = left;
    const after = others.reduce((all, one) => merge(one.before, all, one.after), first!.after);
    for (const { id } of left) pending.remove(id);
    hold(first!.before, after);
    queueMicrotask(() => show(after));
    void sendNow();
  }, [pending, hold, sendNow, show, merge]);
  useEffect(() => {
    const { base, newest } = held.current;
    if (base !== newest || base === given) return;
    held.current = { base: given, newest: given };
    queueMicrotask(() => show(given));
  }, [given, show]);

  const set = useCallback(
    (after: T): Promise<void> => {
      hold(held.current.base, after);
      show(after);
      return sendNow();
    },
    [hold, sendNow, show],
  );
  const takeBack = useCallback(
    ({ before, after }: WholeChange<T>) => set(merge(after, before, held.current.newest)),
    [set, merge],
  );
  return { keeping, set, takeBack };
}
