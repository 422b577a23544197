import type { Finger } from "@/core/hand/finger";
import type { NoteId } from "@/core/passage/note";
import type { OptionData } from "@/server/types";
import type { OptionChange } from "./change";
import { changesOnTheirWay, type ChangesOnTheirWay } from "./changes-on-their-way";
import { heldOptions, renewed, type HeldOptions, type OptionsShown, type Outdated } from "./held-options";
import type { OptionsWorld } from "./options-world";
import { lifted, pinned, ruled, stretchCleared, stretchPinned, type Made } from "./option-changes";

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

/** ms to wait for the digits before the pin is shown alone. */
const PATIENCE = 10;

/**
 * The options of a passage as a page holds them: changed at once, kept in the background. A gesture is on its way from the
 * moment it is made, in the order of the gestures; its digits come after it, and go with it.
 */
export function optionsInHand(first: readonly OptionData[], world: OptionsWorld): OptionsInHand {
  const { pending } = world;
  const options = heldOptions(first);
  const onTheirWay = changesOnTheirWay(options, world);
  /** The newest gesture of each option: digits of older ones are not shown any more. */
  const newest = new Map<string, string>();

  /** The rest worked out around a change; shown as long as it is the newest of its option. */
  const workedOut = async (
    { id, fingeringId, digits, pins, ruledOut }: OptionChange,
    leaning: OptionData["leaning"],
  ) => {
    const found = await world.around({ leaning, digits, pins, ruledOut });
    if (found && newest.get(fingeringId) === id) options.hold(fingeringId, { digits: found });
    return found;
  };
  /** Shows a change at once, with the digits it was made with. */
  const begin = ({ id, fingeringId, digits, pins, ruledOut }: OptionChange): void => {
    newest.set(fingeringId, id);
    options.hold(fingeringId, { digits, pins, ruledOut });
  };
  const make = (optionId: string, making: (option: OptionData) => Made | null): void => {
    const option = options.find(optionId);
    const made = option && making(option);
    if (!option || !made) return;
    const from = { digits: option.digits, pins: option.pins, ruledOut: option.ruledOut };
    const change: OptionChange = { ...made, from, id: world.newId(), fingeringId: optionId, seen: option.version };
    begin(change);
    pending.put(change);
    // The change stands in the next frame, with the rest worked out around it if that is there by then.
    const cancel = world.later(PATIENCE, options.show);
    const around = workedOut(change, option.leaning).then((found) => {
      cancel();
      options.show();
      return found;
    });
    onTheirWay.send(change, around);
  };
  const resume = (): void => {
    const begun = new Set<string>();
    for (const change of pending.all()) {
      const { fingeringId, seen } = change;
      const option = options.find(fingeringId);
      if (!option) {
        pending.remove(change.id);
        continue;
      }
      begin(change);
      const around = workedOut(change, option.leaning).then((found) => {
        options.show();
        return found;
      });
      // The first was made on what was seen then; those after it on what that one comes to.
      onTheirWay.send(change, around, begun.has(fingeringId) ? undefined : seen);
      begun.add(fingeringId);
    }
    options.show();
  };
  const setOptions = (all: readonly OptionData[]): void => {
    // What is on its way is newer than what the server has.
    const onTheWay = new Map(pending.all().map((change) => [change.fingeringId, change]));
    const next = all.map((option) => renewed(option, options.find(option.id), onTheWay.get(option.id)));
    for (const option of all) options.keep(option);
    options.replace(next);
    options.show();
  };

  return {
    shown: options.shown,
    subscribe: options.subscribe,
    resume,
    setOptions,
    pin: (id, note, finger) =>
      make(id, (option) => (finger === null ? lifted(option, note) : pinned(option, note, finger))),
    ruleOut: (id, note, finger) => make(id, (option) => ruled(option, note, finger)),
    pinStretch: (id, notes) => make(id, (option) => stretchPinned(option, notes)),
    clearStretch: (id, notes) => make(id, (option) => stretchCleared(option, notes)),
    walk: walking(options, world, newest, setOptions),
    ...settling(options, world, newest, onTheirWay),
  };
}

/** Undo and redo of an option. */
function walking(
  options: HeldOptions,
  world: OptionsWorld,
  newest: Map<string, string>,
  setOptions: (all: readonly OptionData[]) => void,
): OptionsGestures["walk"] {
  return (fingeringId, way) => {
    const id = world.newId();
    let onVersion: number | null = null;
    void world
      .send(async () => {
        onVersion ??= options.find(fingeringId)?.version ?? 1;
        return world.walk({ id, fingeringId, onVersion, way });
      })
      .then((answer) => {
        if (!answer.ok) return world.refused(answer.message);
        const { now, options: all, outcome } = answer.value;
        newest.delete(fingeringId);
        if (all) setOptions(all);
        else {
          options.hold(fingeringId, now);
          options.keep(now);
        }
        if (outcome === "outdated") world.overtaken();
        options.show();
      });
  };
}

/** Going on from one of two states that grew apart. */
function settling(
  options: HeldOptions,
  { pending, newId }: OptionsWorld,
  newest: Map<string, string>,
  onTheirWay: ChangesOnTheirWay,
): Pick<OptionsGestures, "keepTheirs" | "keepMine"> {
  const settle = (): Outdated | null => {
    const found = options.shown().outdated;
    if (!found) return null;
    // Whatever waits behind the conflict goes with it: it was made on what is discarded, or is in what is kept.
    for (const { id, fingeringId } of pending.all()) if (fingeringId === found.theirs.id) pending.remove(id);
    newest.delete(found.theirs.id);
    options.keep(found.theirs);
    return found;
  };
  return {
    keepTheirs() {
      const found = settle();
      if (!found) return;
      options.hold(found.theirs.id, found.theirs);
      options.show(null);
    },
    keepMine() {
      const found = settle();
      if (!found) return;
      const { theirs, mine } = found;
      options.hold(theirs.id, { version: theirs.version });
      options.show(null);
      const again: OptionChange = { ...mine, id: newId(), seen: theirs.version };
      pending.put(again);
      onTheirWay.send(again, Promise.resolve(null), theirs.version);
    },
  };
}
