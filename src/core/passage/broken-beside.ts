import type { Pitch } from "../keyboard/pitch";
import { FIGURE } from "../physics";

/** What an onset of a line must tell. */
interface Struck {
  readonly struck: readonly { readonly key: Pitch }[];
}

/**
 * The onsets after a chord, or before it, that break it: single notes on its keys, two of them at least, as far as they follow one
 * another, the nearest first. None where they go on beyond the chord, as an arpeggio over several octaves does.
 */
export function brokenBeside(onsets: readonly Struck[], chord: number, way: 1 | -1): readonly number[] {
  const own = onsets[chord]!.struck.map(({ key }) => key);
  const [lowest, highest] = [Math.min(...own), Math.max(...own)];
  const found: number[] = [];
  const broken = new Set<Pitch>();
  let last: Pitch | null = null;
  for (let at = chord + way; onsets[at]?.struck.length === 1; at += way) {
    const { key } = onsets[at]!.struck[0]!;
    if ((last === highest && key > highest) || (last === lowest && key < lowest)) return [];
    if (!own.includes(key)) break;
    found.push(at);
    broken.add(key);
    last = key;
  }
  return broken.size >= FIGURE.leastBroken ? found : [];
}
