import { READING } from "../../physics";
import type { OnsetExpected } from "../expected";
import { medianOf } from "../statistics";
import type { KeyStruck } from "../take";
import type { Meant } from "./moves";

/**
 * ms that a quarter note lasted about each key: the middle one of what it was from onset to onset over some onsets to either
 * side, so that no pause and no slip sways it. The tempo meant where nothing was heard of it.
 * @param meant what each key is read as, in the order of the keys
 * @param quarterMs of the tempo that was meant
 */
export function tempoHeard(
  onsets: readonly OnsetExpected[],
  keys: readonly KeyStruck[],
  meant: readonly Meant[],
  quarterMs: number,
): readonly number[] {
  const steps: { key: number; quarterMs: number }[] = [];
  let before: { onset: number; ms: number } | null = null;
  meant.forEach(({ onset, jumps }, j) => {
    if (onset < 0 || (before && onset < before.onset && !jumps)) return;
    const ms = keys[j]!.downMs;
    if (before && !jumps && onset > before.onset) {
      const quarters = onsets[onset]!.at - onsets[before.onset]!.at;
      if (quarters > 0 && ms > before.ms) steps.push({ key: j, quarterMs: (ms - before.ms) / quarters });
    }
    if (!before || jumps || onset > before.onset) before = { onset, ms };
  });
  if (steps.length === 0) return keys.map(() => quarterMs);
  let at = 0;
  return keys.map((_, j) => {
    while (at + 1 < steps.length && steps[at]!.key < j) at++;
    const about = steps.slice(Math.max(0, at - READING.tempoAbout), at + READING.tempoAbout + 1);
    return medianOf(about.map((step) => step.quarterMs));
  });
}
