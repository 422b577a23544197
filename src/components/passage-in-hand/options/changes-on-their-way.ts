import type { Fingering } from "@/core/fingering/study/fingering";
import { isSame } from "@/core/merge";
import type { Answer, OptionKept } from "@/server/types";
import type { Sent } from "../../keeping/sending";
import { asSent, without, type OptionChange } from "./change";
import type { HeldOptions } from "./held-options";
import type { OptionsWorld } from "./options-world";

export interface ChangesOnTheirWay {
  /**
   * Sends a change after those before it.
   * @param digits as they come; null where they stay as in the change
   * @param onVersion the version it was made on; left out, the newest that is held when its turn comes
   */
  send(change: OptionChange, digits: Promise<Fingering | null>, onVersion?: number): void;
}

/** Changes from the gesture to the answer: kept, refused and taken back, or in conflict with another window. */
export function changesOnTheirWay(options: HeldOptions, world: OptionsWorld): ChangesOnTheirWay {
  const { pending } = world;
  const isWaiting = (id: string): boolean => pending.all().some((change) => change.id === id);

  /** A change with the digits that go with it. */
  const whole = async (change: OptionChange, digits: Promise<Fingering | null>): Promise<OptionChange> => {
    const found = await digits;
    // What waits is what counts: a change before it that was refused has been taken out of it.
    const waiting = pending.all().find(({ id }) => id === change.id) ?? change;
    const isAsMade = isSame(waiting.pins, change.pins) && isSame(waiting.ruledOut, change.ruledOut);
    const option = options.find(change.fingeringId);
    const fitting = isAsMade || !option ? found : await world.around({ ...waiting, leaning: option.leaning });
    const made = { ...waiting, digits: fitting ?? waiting.digits };
    // Kept with its digits, unless it was discarded meanwhile.
    if (isWaiting(change.id)) pending.put(made);
    return made;
  };

  const answered = (change: OptionChange, answer: Sent<OptionKept | null>): void => {
    if (!answer.ok) {
      world.refused(answer.message);
      if (answer.renewed) return;
      pending.remove(change.id);
      return takenBack(change);
    }
    if (!answer.value) {
      // Made behind a conflict: of those that wait there, the newest is what this page holds.
      if (options.isInConflict(change.fingeringId)) options.show({ ...options.shown().outdated!, mine: change });
      return;
    }
    pending.remove(change.id);
    const { outcome, now } = answer.value;
    if (outcome === "outdated") return options.show({ theirs: now, mine: change });
    const { version, undoable, redoable } = now;
    options.hold(now.id, { version, undoable, redoable });
    options.keep({ ...now, digits: change.digits, pins: change.pins, ruledOut: change.ruledOut });
    options.show();
  };

  /** A refused change is taken out of what is shown, and out of what was made on it. */
  const takenBack = (refused: OptionChange): void => {
    const { fingeringId } = refused;
    const later = pending.all().filter((change) => change.fingeringId === fingeringId);
    for (const change of later) pending.put(without(refused, change));
    const option = options.find(fingeringId);
    const kept = options.kept(fingeringId);
    if (later.length > 0 && option) options.hold(fingeringId, without(refused, option));
    else if (kept) options.hold(fingeringId, { digits: kept.digits, pins: kept.pins, ruledOut: kept.ruledOut });
    options.show();
  };

  return {
    send(change, digits, onVersion) {
      let made: OptionChange | null = null;
      void world
        .send(async (): Promise<Answer<OptionKept | null>> => {
          made ??= await whole(change, digits);
          const { fingeringId, seen } = change;
          if (options.isInConflict(fingeringId) || !options.find(fingeringId)) return { ok: true, value: null };
          return world.change({
            ...asSent(made),
            onVersion: onVersion ?? options.find(fingeringId)?.version ?? seen,
          });
        })
        .then((answer) => answered(made ?? change, answer));
    },
  };
}
