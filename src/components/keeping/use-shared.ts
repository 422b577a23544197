"use client";

import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import { toast } from "sonner";
import type { Answer, OptionData, WholeKept } from "@/server/types";
import { outbox, type Keeping } from "./outbox";
import { pendingIn } from "./pending";

/** What one window made of a value, and where it began. */
export interface Change<T> {
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
  keep(asked: Change<T> & { readonly passageId: string }): Promise<Answer<WholeKept<T>>>;
  /** Told what the options have become. */
  onOptions(options: readonly OptionData[]): void;
}

export interface SharedInHand<T> {
  readonly keeping: Keeping;
  /** Gives it another state; resolves when everything up to now is kept. */
  set(after: T): Promise<void>;
  /** Takes a change back; what was changed after it stays. */
  takeBack(change: Change<T>): Promise<void>;
}

/**
 * Something that a passage holds whole, and several windows may change: shown at once, kept in the background, and sent
 * again when the page was closed on the way. What another window has made of it comes with the answer.
 * @param asked its functions must stay the same from one drawing to the next
 */
export function useShared<T>({ passageId, what, given, show, merge, keep, onOptions }: Asked<T>): SharedInHand<T> {
  const [keeping, setKeeping] = useState<Keeping>("kept");
  const box = useMemo(() => outbox(setKeeping, (ms) => new Promise((resolve) => setTimeout(resolve, ms))), []);
  const pending = useMemo(
    () => pendingIn<Change<T> & { readonly id: "change" }>(`${what} ${passageId}`),
    [what, passageId],
  );
  // What the server has, and what this window has made of it.
  const held = useRef({ base: given, newest: given });

  const hold = useCallback(
    (base: T, newest: T) => {
      held.current = { base, newest };
      if (base === newest) pending.remove("change");
      else pending.put({ id: "change", before: base, after: newest });
    },
    [pending],
  );
  const send = useCallback((): Promise<void> => {
    box.send(async () => {
      const { base: before, newest: after } = held.current;
      // It went out with an earlier change.
      if (before === after) return;
      const answer = await keep({ passageId, before, after });
      if (!answer.ok) {
        pending.remove("change");
        return void toast.error(answer.message);
      }
      const { is, options } = answer.value;
      onOptions(options);
      const { newest } = held.current;
      const merged = newest === after ? is : merge(after, newest, is);
      hold(is, merged);
      show(merged);
    });
    return box.settled();
  }, [box, passageId, keep, merge, show, hold, pending, onOptions]);

  useEffect(() => {
    const [left] = pending.all();
    if (!left) return;
    held.current = { base: left.before, newest: left.after };
    queueMicrotask(() => show(left.after));
    void send();
  }, [pending, send, show]);
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
      return send();
    },
    [hold, send, show],
  );
  const takeBack = useCallback(
    ({ before, after }: Change<T>) => set(merge(after, before, held.current.newest)),
    [set, merge],
  );
  return { keeping, set, takeBack };
}
