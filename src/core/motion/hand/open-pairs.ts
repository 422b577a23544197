import type { Frame, Press } from "../../fingering/frames/frame";
import type { Task } from "../../fingering/study/task";
import { limitsOf } from "../../hand/hand";
import { apart } from "../../fingering/cost/pairs";

/** Two fingers that are down together, open beyond comfort. */
export interface OpenPair {
  readonly presses: readonly [Press, Press];
  /** mm beyond their comfortable opening, more than 0. */
  readonly mm: number;
}

/** The pairs of a frame, struck or held, that are open beyond comfort. */
export function openBeyond({ hand }: Task, { struck, held }: Frame): readonly OpenPair[] {
  const down = [...held, ...struck];
  return down.flatMap((a, i) =>
    down.slice(i + 1).flatMap((b): OpenPair[] => {
      if (a.finger === b.finger) return [];
      const mm = apart(a, b) - limitsOf(hand, a.finger, b.finger).widestComfortable;
      return mm > 0 ? [{ presses: [a, b], mm }] : [];
    }),
  );
}
