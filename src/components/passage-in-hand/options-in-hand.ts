import type { Finger } from "@/core/hand/finger";
import type { Fingering } from "@/core/fingering/study/fingering";
import { isSame, mergedRecord } from "@/core/merge";
import type { NoteId } from "@/core/passage/note";
import type { Answer, Kept, OptionData, Walked } from "@/server/types";
import type { Pending } from "../keeping/pending";
import type { Sent } from "../keeping/sending";
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
  /** How the option stood before it. */
  readonly from: Pick<OptionData, "digits" | "pins" | "ruledOut">;
}

/** What is shown of the options. */
export interface OptionsShown {
  readonly options: readonly OptionData[];
  readonly outdated: Outdated | null;
}

/** Everything that the options need of the world; in tests each has a stand-in. */
export interface OptionsWorld {
  /** Changes not yet answered, kept in the browser. */
  readonly pending: Pending<Change>;
  /** Works digits out around what an option asks; null where it could not be done. */
  around(option: Pick<OptionData, "leaning" | "pins" | "ruledOut">): Promise<Fingering | null>;
  /** Sends changes one after another; see keeping/sending. */
  send<T>(call: () => Promise<Answer<T>>): Promise<Sent<T>>;
  change(asked: Omit<Change, "from"> & { readonly onVersion: number }): Promise<Answer<Kept>>;
  walk(asked: WalkSent): Promise<Answer<Walked>>;
  refused(message: string): void;
  overtaken(): void;
  newId(): string;
  /** Lets so many ms pass, then calls; gives back what ends it. */
  later(ms: number, call: () => void): () => void;
}

interface WalkSent {
  readonly id: string;
  readonly fingeringId: string;
  readonly onVersion: number;
  readonly way: "undo" | "redo";
}

export interface OptionsInHand extends OptionsGestures {
  shown(): OptionsShown;
  /** @returns ends it */
  subscribe(listener: () => void): () => void;
  /** Shows and sends again what was on its way when the page was last closed. */
  resume(): void;
}

export interface OptionsGestures {
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

/** A change as the server is told of it. */
function asSent({ id, fingeringId, seen, kind, noteId, finger, digits, pins, ruledOut }: Change): Omit<Change, "from"> {
  return { id, fingeringId, seen, kind, noteId, finger, digits, pins, ruledOut };
}

/** ms to wait for the digits before the pin is shown alone. */
const PATIENCE = 10;

/**
 * The options of a passage as a page holds them: changed at once, kept in the background. A gesture is on its way from the
 * moment it is made, in the order of the gestures; its digits come after it, and go with it.
 */
export function optionsInHand(first: readonly OptionData[], world: OptionsWorld): OptionsInHand {
  const { pending } = world;
  let held = first;
  let shown: OptionsShown = { options: first, outdated: null };
  /** The newest gesture of each option: digits of older ones are not shown any more. */
  const newest = new Map<string, string>();
  const listeners = new Set<() => void>();

  const show = (outdated = shown.outdated): void => {
    if (held === shown.options && outdated === shown.outdated) return;
    shown = { options: held, outdated };
    for (const listener of listeners) listener();
  };
  const hold = (id: string, part: Partial<OptionData>): void => {
    held = held.map((option) => (option.id === id ? { ...option, ...part } : option));
  };
  const find = (id: string): OptionData | undefined => held.find((option) => option.id === id);
  const isInConflict = (id: string): boolean => shown.outdated?.theirs.id === id;

  /** @param digits as they come; null where they stay as in the change */
  const sendChange = (change: Change, digits: Promise<Fingering | null>, onVersion?: number): void => {
    let whole: Change | null = null;
    void world
      .send(async (): Promise<Answer<Kept | null>> => {
        if (!whole) {
          const found = await digits;
          // What waits is what counts: a change before it that was refused has been taken out of it.
          const waiting = pending.all().find(({ id }) => id === change.id) ?? change;
          const isAsMade = isSame(waiting.pins, change.pins) && isSame(waiting.ruledOut, change.ruledOut);
          const option = find(change.fingeringId);
          const fitting = isAsMade || !option ? found : await world.around({ ...waiting, leaning: option.leaning });
          whole = { ...waiting, digits: fitting ?? waiting.digits };
          // Kept with its digits, unless it was discarded meanwhile.
          if (pending.all().some(({ id }) => id === change.id)) pending.put(whole);
        }
        if (isInConflict(change.fingeringId) || !find(change.fingeringId)) return { ok: true, value: null };
        const version = onVersion ?? find(change.fingeringId)?.version ?? change.seen;
        return world.change({ ...asSent(whole), onVersion: version });
      })
      .then((answer) => answered(whole ?? change, answer));
  };

  const answered = (change: Change, answer: Sent<Kept | null>): void => {
    if (!answer.ok) {
      world.refused(answer.message);
      if (answer.renewed) return;
      pending.remove(change.id);
      return takenBack(change);
    }
    if (!answer.value) {
      // Made behind a conflict: of those that wait there, the newest is what this page holds.
      if (isInConflict(change.fingeringId)) show({ ...shown.outdated!, mine: change });
      return;
    }
    pending.remove(change.id);
    const { outcome, now } = answer.value;
    if (outcome === "outdated") return show({ theirs: now, mine: change });
    const { version, undoable, redoable } = now;
    hold(now.id, { version, undoable, redoable });
    lastKept.set(now.id, { ...now, digits: change.digits, pins: change.pins, ruledOut: change.ruledOut });
    show();
  };

  /** The last state of each option that the server is known to hold. */
  const lastKept = new Map(first.map((option) => [option.id, option]));

  /** A refused change is taken out of what is shown, and out of what was made on it. */
  const takenBack = ({ fingeringId, from, pins, ruledOut }: Change): void => {
    const without = <T extends Pick<OptionData, "pins" | "ruledOut">>(made: T): T => ({
      ...made,
      pins: mergedRecord(pins, made.pins, from.pins),
      ruledOut: mergedRecord(ruledOut, made.ruledOut, from.ruledOut),
    });
    const later = pending.all().filter((change) => change.fingeringId === fingeringId);
    for (const change of later) pending.put(without(change));
    const option = find(fingeringId);
    const kept = lastKept.get(fingeringId);
    if (later.length > 0 && option) hold(fingeringId, without(option));
    else if (kept) hold(fingeringId, { digits: kept.digits, pins: kept.pins, ruledOut: kept.ruledOut });
    show();
  };

  const make = (optionId: string, making: (option: OptionData) => Made | null): void => {
    const option = find(optionId);
    const made = option && making(option);
    if (!option || !made) return;
    const from = { digits: option.digits, pins: option.pins, ruledOut: option.ruledOut };
    const change: Change = { ...made, from, id: world.newId(), fingeringId: optionId, seen: option.version };
    const { digits, pins, ruledOut } = made;
    newest.set(optionId, change.id);
    hold(optionId, { digits, pins, ruledOut });
    pending.put(change);
    // The change stands in the next frame, with the rest worked out around it if that is there by then.
    const cancel = world.later(PATIENCE, show);
    const around = world.around({ leaning: option.leaning, pins, ruledOut }).then((found) => {
      cancel();
      if (found && newest.get(optionId) === change.id) hold(optionId, { digits: found });
      show();
      return found;
    });
    sendChange(change, around);
  };

  const setOptions = (all: readonly OptionData[]): void => {
    // What is on its way is newer than what the server has.
    const onTheWay = new Map(pending.all().map((change) => [change.fingeringId, change]));
    held = all.map((option) => {
      const before = find(option.id);
      lastKept.set(option.id, option);
      // An answer that was overtaken says what was before.
      if (before && before.version > option.version)
        return { ...before, title: option.title, undoable: option.undoable, redoable: option.redoable };
      const { pins, ruledOut } = onTheWay.get(option.id) ?? option;
      const digits = onTheWay.has(option.id) && before ? before.digits : option.digits;
      // The same digits stay the same object: they need not be judged and drawn again.
      return { ...option, digits: before && isSame(before.digits, digits) ? before.digits : digits, pins, ruledOut };
    });
    show();
  };

  const settleConflict = (): Outdated | null => {
    const found = shown.outdated;
    if (!found) return null;
    // Whatever waits behind the conflict goes with it: it was made on what is discarded, or is in what is kept.
    for (const { id, fingeringId } of pending.all()) if (fingeringId === found.theirs.id) pending.remove(id);
    newest.delete(found.theirs.id);
    return found;
  };

  return {
    shown: () => shown,
    subscribe(listener) {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    resume() {
      const begun = new Set<string>();
      for (const change of pending.all()) {
        const { id, fingeringId, digits, pins, ruledOut, seen } = change;
        const option = find(fingeringId);
        if (!option) {
          pending.remove(id);
          continue;
        }
        newest.set(fingeringId, id);
        hold(fingeringId, { digits, pins, ruledOut });
        const around = world.around({ leaning: option.leaning, pins, ruledOut }).then((found) => {
          if (found && newest.get(fingeringId) === id) hold(fingeringId, { digits: found });
          show();
          return found;
        });
        // The first was made on what was seen then; those after it on what that one comes to.
        sendChange(change, around, begun.has(fingeringId) ? undefined : seen);
        begun.add(fingeringId);
      }
      show();
    },
    setOptions,
    pin: (id, note, finger) =>
      make(id, (option) => (finger === null ? lifted(option, note) : pinned(option, note, finger))),
    ruleOut: (id, note, finger) => make(id, (option) => ruled(option, note, finger)),
    pinStretch: (id, notes) => make(id, (option) => stretchPinned(option, notes)),
    clearStretch: (id, notes) => make(id, (option) => stretchCleared(option, notes)),
    walk(fingeringId, way) {
      const id = world.newId();
      let onVersion: number | null = null;
      void world
        .send(async () => {
          onVersion ??= find(fingeringId)?.version ?? 1;
          return world.walk({ id, fingeringId, onVersion, way });
        })
        .then((answer) => {
          if (!answer.ok) return world.refused(answer.message);
          const { now, options, outcome } = answer.value;
          newest.delete(fingeringId);
          if (options) setOptions(options);
          else {
            hold(fingeringId, now);
            lastKept.set(fingeringId, now);
          }
          if (outcome === "outdated") world.overtaken();
          show();
        });
    },
    keepTheirs() {
      const found = settleConflict();
      if (!found) return;
      hold(found.theirs.id, found.theirs);
      lastKept.set(found.theirs.id, found.theirs);
      show(null);
    },
    keepMine() {
      const found = settleConflict();
      if (!found) return;
      const { theirs, mine } = found;
      hold(theirs.id, { version: theirs.version });
      lastKept.set(theirs.id, theirs);
      show(null);
      const again: Change = { ...mine, id: world.newId(), seen: theirs.version };
      pending.put(again);
      sendChange(again, Promise.resolve(null), theirs.version);
    },
  };
}
