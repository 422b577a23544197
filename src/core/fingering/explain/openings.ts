import type { NoteId } from "../../passage/note";
import { limitsOf } from "../../hand/hand";
import type { Limits } from "../../hand/limits";
import { mmBetween } from "../cost/pairs";
import type { Frame, Press } from "../frames/frame";
import type { Task } from "../study/task";

/** Two fingers open at once, or one after the other with the first still bound. */
export interface Opening {
  readonly fingers: readonly [number, number];
  /** mm between the usual contacts, in the order of the fingers; negative where they are crossed. */
  readonly mm: number;
  readonly limits: Limits;
  /** The note at which it is made. */
  readonly note: NoteId;
}

/**
 * The openings that a hand makes on coming to an onset and while it lies there. A finger carried free opens nothing, and
 * where one note after another lies beyond the widest opening of their fingers, the hand is carried.
 */
export function openingsAt({ hand }: Task, before: Frame | null, now: Frame): readonly Opening[] {
  const down = [...now.held, ...now.struck];
  const together = down.flatMap((a, i) => down.slice(i + 1).map((b) => [a, b] as const));
  const bound = before?.struck.filter((p) => p.stroke.ms + p.stroke.soundsMs >= now.onset.ms - 1) ?? [];
  const joined = bound.flatMap((a) => now.struck.map((b) => [a, b] as const));
  const opened = (pairs: readonly (readonly [Press, Press])[]): readonly Opening[] =>
    pairs.filter(([a, b]) => a.finger !== b.finger).map(([a, b]) => between(a, b));
  return [...opened(together), ...opened(joined).filter(({ mm, limits }) => mm <= limits.widestPractical)];

  function between(a: Press, b: Press): Opening {
    const [low, high] = a.finger < b.finger ? [a, b] : [b, a];
    return {
      fingers: [low.finger, high.finger],
      mm: mmBetween(low, high),
      limits: limitsOf(hand, low.finger, high.finger),
      note: (now.struck[0] ?? a).stroke.notes[0]!,
    };
  }
}
