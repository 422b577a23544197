import type { OptionData } from "@/server/types";
import { isSame } from "@/core/merge";
import type { OptionChange } from "./change";

/** Two states of one option that grew apart: what the server holds and what this page holds. */
export interface Outdated {
  readonly theirs: OptionData;
  readonly mine: OptionChange;
}

/** What is shown of the options. */
export interface OptionsShown {
  readonly options: readonly OptionData[];
  readonly outdated: Outdated | null;
}

/** The options of a passage as a page holds them: what is shown, and the last that the server is known to hold. */
export interface HeldOptions {
  find(id: string): OptionData | undefined;
  /** Changes a part of an option; shown with the next call of show. */
  hold(id: string, part: Partial<OptionData>): void;
  replace(all: readonly OptionData[]): void;
  /** The last state of an option that the server is known to hold. */
  kept(id: string): OptionData | undefined;
  keep(option: OptionData): void;
  isInConflict(id: string): boolean;
  /** @param outdated a conflict to settle from now on, or null where there is none any more */
  show(outdated?: Outdated | null): void;
  shown(): OptionsShown;
  /** @returns ends it */
  subscribe(listener: () => void): () => void;
}

export function heldOptions(first: readonly OptionData[]): HeldOptions {
  let held = first;
  let shown: OptionsShown = { options: first, outdated: null };
  const lastKept = new Map(first.map((option) => [option.id, option]));
  const listeners = new Set<() => void>();
  return {
    find: (id) => held.find((option) => option.id === id),
    hold(id, part) {
      held = held.map((option) => (option.id === id ? { ...option, ...part } : option));
    },
    replace(all) {
      held = all;
    },
    kept: (id) => lastKept.get(id),
    keep: (option) => void lastKept.set(option.id, option),
    isInConflict: (id) => shown.outdated?.theirs.id === id,
    show(outdated = shown.outdated) {
      if (held === shown.options && outdated === shown.outdated) return;
      shown = { options: held, outdated };
      for (const listener of listeners) listener();
    },
    shown: () => shown,
    subscribe(listener) {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
  };
}

/**
 * An option as the server gives it anew, with what is on its way from this page on it.
 * @param before as it was held
 * @param onTheWay the newest change of it that is not answered yet
 */
export function renewed(
  option: OptionData,
  before: OptionData | undefined,
  onTheWay: OptionChange | undefined,
): OptionData {
  // An answer that was overtaken says what was before.
  if (before && before.version > option.version) {
    const { title, undoable, redoable } = option;
    return { ...before, title, undoable, redoable };
  }
  const { pins, ruledOut } = onTheWay ?? option;
  const digits = onTheWay && before ? before.digits : option.digits;
  // The same digits stay the same object: they need not be judged and drawn again.
  return { ...option, digits: before && isSame(before.digits, digits) ? before.digits : digits, pins, ruledOut };
}
