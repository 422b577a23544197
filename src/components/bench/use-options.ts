"use client";

import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import { toast } from "sonner";
import type { RuledOut } from "@/core/fingering/conditions";
import type { Fingering, Pins } from "@/core/fingering/fingering";
import type { Finger } from "@/core/hand/finger";
import type { NoteId } from "@/core/passage/note";
import { changeOption, walkEdits } from "@/server/actions";
import type { Answer, Kept, OptionData, PassageData } from "@/server/types";
import { fingeringWorker } from "@/worker/clients";
import { outbox, type Keeping } from "./outbox";

/** Two states of one option that grew apart: what the server holds and what this page holds. */
export interface Outdated {
  readonly theirs: OptionData;
  readonly mine: Change;
}

/** A change on its way: which note, and how the option stands after it. */
interface Change {
  readonly fingeringId: string;
  readonly kind: "pin" | "lift" | "rule-out" | "allow";
  readonly noteId: NoteId;
  readonly finger: Finger | null;
  readonly digits: Fingering;
  readonly pins: Pins;
  readonly ruledOut: RuledOut;
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
  walk(optionId: string, way: "undo" | "redo"): void;
  keepTheirs(): void;
  keepMine(): void;
}

/** ms to wait for the worker before the pin is shown alone. */
const PATIENCE = 10;

/** The options of a passage as the page holds them: changed at once, kept in the background. */
export function useOptions(data: PassageData, wishes = data.wishes): OptionsInHand {
  const [options, setOptions] = useState(data.options);
  const [keeping, setKeeping] = useState<Keeping>("kept");
  const [outdated, setOutdated] = useState<Outdated | null>(null);
  const newest = useRef(options);
  const conflict = useRef<Outdated | null>(null);
  const box = useMemo(() => outbox(setKeeping, (ms) => new Promise((resolve) => setTimeout(resolve, ms))), []);
  useLeaveWarning(keeping !== "kept");

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
      newest.current = all;
      show();
    },
    [show],
  );

  const setConflict = useCallback((found: Outdated | null) => {
    conflict.current = found;
    setOutdated(found);
  }, []);

  const send = useCallback(
    (change: Change) => {
      const id = crypto.randomUUID();
      box.send(async () => {
        if (conflict.current?.theirs.id === change.fingeringId)
          return setConflict({ ...conflict.current, mine: change });
        const onVersion = newest.current.find((o) => o.id === change.fingeringId)!.version;
        const answer = await changeOption({ id, onVersion, ...change });
        if (!answer.ok) return refused(answer.message);
        const { outcome, now } = answer.value;
        if (outcome === "outdated") return setConflict({ theirs: now, mine: change });
        replace(now.id, { version: now.version, undoable: now.undoable, redoable: now.redoable });
      });
    },
    [box, replace, setConflict],
  );

  /** Shows a change at once, works the rest out around it, and sends it. */
  const change = useCallback(
    (option: OptionData, made: Pick<Change, "kind" | "noteId" | "finger" | "digits" | "pins" | "ruledOut">) => {
      const { digits: shown, pins, ruledOut } = made;
      hold(option.id, { digits: shown, pins, ruledOut });
      // The change stands in the next frame, with the rest worked out around it if that is there by then.
      const soon = setTimeout(show, PATIENCE);
      void fingeringWorker()
        .around({ leaning: option.leaning, wishes, pins, ruledOut })
        .then((answer) => {
          clearTimeout(soon);
          const digits = answer.stopped ? shown : answer.found;
          if (!answer.stopped) hold(option.id, { digits });
          show();
          send({ fingeringId: option.id, ...made, digits });
        });
    },
    [hold, show, send, wishes],
  );

  const pin = useCallback(
    (optionId: string, noteId: NoteId, finger: Finger | null) => {
      const option = newest.current.find((o) => o.id === optionId);
      if (!option || (finger === null && !(noteId in option.pins))) return;
      const pins = withPin(option.pins, noteId, finger);
      const digits = finger === null ? option.digits : { ...option.digits, [noteId]: finger };
      change(option, {
        kind: finger === null ? "lift" : "pin",
        noteId,
        finger,
        digits,
        pins,
        ruledOut: option.ruledOut,
      });
    },
    [change],
  );

  const ruleOut = useCallback(
    (optionId: string, noteId: NoteId, finger: Finger) => {
      const option = newest.current.find((o) => o.id === optionId);
      if (!option) return;
      const before = option.ruledOut[noteId] ?? [];
      const kind = before.includes(finger) ? "allow" : "rule-out";
      const after = kind === "allow" ? before.filter((f) => f !== finger) : [...before, finger];
      const ruledOut = { ...option.ruledOut, [noteId]: after };
      change(option, { kind, noteId, finger, digits: option.digits, pins: option.pins, ruledOut });
    },
    [change],
  );

  const walk = useCallback(
    (optionId: string, way: "undo" | "redo") => {
      box.send(async () => {
        const option = newest.current.find((o) => o.id === optionId)!;
        const answer: Answer<Kept> = await walkEdits({ fingeringId: optionId, onVersion: option.version, way });
        if (!answer.ok) return refused(answer.message);
        replace(optionId, answer.value.now);
        if (answer.value.outcome === "outdated")
          toast("Another window had changed this option; it is shown as it stands now.");
      });
    },
    [box, replace],
  );

  const keepTheirs = useCallback(() => {
    if (conflict.current) replace(conflict.current.theirs.id, conflict.current.theirs);
    setConflict(null);
  }, [replace, setConflict]);

  const keepMine = useCallback(() => {
    const found = conflict.current;
    setConflict(null);
    if (!found) return;
    replace(found.theirs.id, { version: found.theirs.version });
    send(found.mine);
  }, [replace, send, setConflict]);

  return { options, keeping, outdated, setOptions: setAll, pin, ruleOut, walk, keepTheirs, keepMine };
}

function withPin(pins: Pins, note: NoteId, finger: Finger | null): Pins {
  const rest = Object.fromEntries(Object.entries(pins).filter(([id]) => id !== note)) as Pins;
  return finger === null ? rest : { ...rest, [note]: finger };
}

function refused(message: string): void {
  toast.error(message);
}

function useLeaveWarning(active: boolean): void {
  useEffect(() => {
    if (!active) return;
    const warn = (event: BeforeUnloadEvent): void => event.preventDefault();
    window.addEventListener("beforeunload", warn);
    return () => window.removeEventListener("beforeunload", warn);
  }, [active]);
}
