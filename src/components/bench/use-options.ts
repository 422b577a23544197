"use client";

import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import { toast } from "sonner";
import type { Finger } from "@/core/hand/finger";
import { isSame } from "@/core/merge";
import type { NoteId } from "@/core/passage/note";
import { changeOption, walkEdits } from "@/server/actions";
import type { Answer, OptionData, PassageData, Walked } from "@/server/types";
import { fingeringWorker } from "@/worker/clients";
import { outbox, type Keeping } from "../keeping/outbox";
import { pendingIn } from "../keeping/pending";
import { useLeaveWarning } from "../keeping/use-leave-warning";
import { lifted, pinned, ruled, stretchCleared, stretchPinned, type Made } from "./option-changes";

/** Two states of one option that grew apart: what the server holds and what this page holds. */
export interface Outdated {
  readonly theirs: OptionData;
  readonly mine: Change;
}

/** A change on its way: how an option stands after it, and the version that was shown when it was made. */
export interface Change extends Made {
  readonly id: string;
  readonly fingeringId: string;
  readonly seen: number;
}

export interface OptionsInHand {
  readonly options: readonly OptionData[];
  readonly keeping: Keeping;
  readonly outdated: Outdated | null;
  setOptions(options: readonly OptionData[]): void;
  /** Pins a finger, or lifts the pin with null; the rest is worked out anew around the pins. */
  pin(optionId: string, note: NoteId, finger: Finger | null): void;
  /** Rules a finger out on a note, or allows it again; the rest is worked out anew. */
  ruleOut(optionId: string, note: NoteId, finger: Finger): void;
  /** Pins a stretch as it stands, or lifts all that is asked of its notes. */
  pinStretch(optionId: string, notes: readonly NoteId[]): void;
  clearStretch(optionId: string, notes: readonly NoteId[]): void;
  walk(optionId: string, way: "undo" | "redo"): void;
  keepTheirs(): void;
  keepMine(): void;
}

/** ms to wait for the worker before the pin is shown alone. */
const PATIENCE = 10;

/**
 * The options of a passage as the page holds them: changed at once, kept in the background. What was on its way when
 * the page was last closed is shown and sent again.
 */
export function useOptions(data: PassageData, wishes = data.wishes): OptionsInHand {
  const pending = useMemo(() => pendingIn<Change>(`passage ${data.id}`), [data.id]);
  const [options, setOptions] = useState(data.options);
  const [keeping, setKeeping] = useState<Keeping>("kept");
  const [outdated, setOutdated] = useState<Outdated | null>(null);
  const [isSafe, setSafe] = useState(true);
  const newest = useRef(options);
  const conflict = useRef<Outdated | null>(null);
  const box = useMemo(() => outbox(setKeeping, (ms) => new Promise((resolve) => setTimeout(resolve, ms))), []);
  useLeaveWarning(keeping !== "kept" && !isSafe);

  const show = useCallback(() => setOptions(newest.current), []);
  const hold = useCallback((id: string, part: Partial<OptionData>) => {
    newest.current = newest.current.map((o) => (o.id === id ? { ...o, ...part } : o));
  }, []);
  const replace = useCallback(
    (id: string, part: Partial<OptionData>) => {
      hold(id, part);
      show();
    },
    [hold, show],
  );
  const setAll = useCallback(
    (all: readonly OptionData[]) => {
      // What is on its way is newer than what the server has.
      const onTheWay = new Map(pending.all().map((change) => [change.fingeringId, change]));
      newest.current = all.map((option) => {
        const held = newest.current.find((o) => o.id === option.id);
        const { digits, pins, ruledOut } = onTheWay.get(option.id) ?? option;
        // The same digits stay the same object: they need not be judged and drawn again.
        return { ...option, digits: held && isSame(held.digits, digits) ? held.digits : digits, pins, ruledOut };
      });
      show();
    },
    [show, pending],
  );

  const setConflict = useCallback((found: Outdated | null) => {
    conflict.current = found;
    setOutdated(found);
  }, []);

  /** @param onVersion the version it was made on, where that is known better than by what is shown when it is sent */
  const send = useCallback(
    (change: Change, onVersion?: number) => {
      setSafe(pending.put(change));
      box.send(async () => {
        if (conflict.current?.theirs.id === change.fingeringId)
          return setConflict({ ...conflict.current, mine: change });
        const now = newest.current.find((o) => o.id === change.fingeringId);
        const answer = await changeOption({ ...change, onVersion: onVersion ?? now?.version ?? change.seen });
        pending.remove(change.id);
        if (!answer.ok) return refused(answer.message);
        const { outcome, now: kept } = answer.value;
        if (outcome === "outdated") return setConflict({ theirs: kept, mine: change });
        replace(kept.id, { version: kept.version, undoable: kept.undoable, redoable: kept.redoable });
      });
    },
    [box, pending, replace, setConflict],
  );

  useEffect(() => {
    const left = pending.all();
    const first = new Set<string>();
    for (const change of left) {
      if (!newest.current.some((o) => o.id === change.fingeringId)) {
        pending.remove(change.id);
        continue;
      }
      const { digits, pins, ruledOut } = change;
      hold(change.fingeringId, { digits, pins, ruledOut });
      // The first was made on what was seen then; those after it on what that one comes to.
      send(change, first.has(change.fingeringId) ? undefined : change.seen);
      first.add(change.fingeringId);
    }
    if (left.length > 0) show();
  }, [pending, hold, send, show]);

  /** Shows a change at once, works the rest out around it, and sends it. */
  const change = useCallback(
    (option: OptionData, made: Made) => {
      const { digits: shown, pins, ruledOut } = made;
      const id = crypto.randomUUID();
      const whole = { ...made, id, fingeringId: option.id, seen: option.version };
      hold(option.id, { digits: shown, pins, ruledOut });
      pending.put(whole);
      // The change stands in the next frame, with the rest worked out around it if that is there by then.
      const soon = setTimeout(show, PATIENCE);
      void fingeringWorker()
        .around({ leaning: option.leaning, wishes, pins, ruledOut })
        .then((answer) => {
          clearTimeout(soon);
          const digits = answer.stopped ? shown : answer.found;
          if (!answer.stopped) hold(option.id, { digits });
          show();
          send({ ...whole, digits });
        });
    },
    [hold, pending, show, send, wishes],
  );

  const make = useCallback(
    (optionId: string, making: (option: OptionData) => Made | null) => {
      const option = newest.current.find((o) => o.id === optionId);
      const made = option && making(option);
      if (option && made) change(option, made);
    },
    [change],
  );
  const gestures = useMemo(
    () => ({
      pin: (id: string, note: NoteId, finger: Finger | null) =>
        make(id, (option) => (finger === null ? lifted(option, note) : pinned(option, note, finger))),
      ruleOut: (id: string, note: NoteId, finger: Finger) => make(id, (option) => ruled(option, note, finger)),
      pinStretch: (id: string, notes: readonly NoteId[]) => make(id, (option) => stretchPinned(option, notes)),
      clearStretch: (id: string, notes: readonly NoteId[]) => make(id, (option) => stretchCleared(option, notes)),
    }),
    [make],
  );

  const walk = useCallback(
    (optionId: string, way: "undo" | "redo") => {
      box.send(async () => {
        const option = newest.current.find((o) => o.id === optionId)!;
        const answer: Answer<Walked> = await walkEdits({ fingeringId: optionId, onVersion: option.version, way });
        if (!answer.ok) return refused(answer.message);
        if (answer.value.options) setAll(answer.value.options);
        replace(optionId, answer.value.now);
        if (answer.value.outcome === "outdated")
          toast("Another window had changed this option; it is shown as it stands now.");
      });
    },
    [box, replace, setAll],
  );

  const keepTheirs = useCallback(() => {
    if (conflict.current) replace(conflict.current.theirs.id, conflict.current.theirs);
    setConflict(null);
  }, [replace, setConflict]);
  const keepMine = useCallback(() => {
    const found = conflict.current;
    setConflict(null);
    if (!found) return;
    const { theirs, mine } = found;
    replace(theirs.id, { version: theirs.version });
    send({ ...mine, id: crypto.randomUUID(), seen: theirs.version });
  }, [replace, send, setConflict]);

  return { options, keeping, outdated, setOptions: setAll, ...gestures, walk, keepTheirs, keepMine };
}

function refused(message: string): void {
  toast.error(message);
}
