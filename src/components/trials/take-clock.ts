import type { Step } from "@/core/fingering/study/steps";
import type { OnsetReported } from "@/core/trials/report";

/** A moment of a take, and where the music stood, in quarter notes from the start of the passage. */
type Met = readonly [ms: number, quarters: number];

/**
 * Where the music stands at a moment of a take: straight from onset to onset as they were struck.
 * @param times when each step is struck, in quarter notes
 * @returns null before the first onset that was heard and after the last
 */
export function momentOf(
  onsets: readonly Pick<OnsetReported, "note" | "ms">[],
  steps: readonly Step[],
  times: readonly number[],
): (ms: number) => number | null {
  const placed = new Map(steps.flatMap(({ notes }, i) => notes.map((note) => [note, times[i]!] as const)));
  const met = onsets.flatMap(({ note, ms }): Met[] => (placed.has(note) ? [[ms, placed.get(note)!]] : []));
  return (ms) => {
    const next = met.findIndex(([at]) => at > ms);
    if (next === 0 || met.length === 0) return null;
    if (next < 0) return met.at(-1)![1];
    const [[a, from], [b, to]] = [met[next - 1]!, met[next]!];
    return from + ((to - from) * (ms - a)) / (b - a);
  };
}
