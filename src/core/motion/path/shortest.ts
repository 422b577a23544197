import type { PlaceBounds } from "./place";

/** A stretch of a line in which something is to lie at one moment, and where in it it would lie best; in one unit, say mm. */
export interface Stretch extends PlaceBounds {
  readonly ease: number;
}

/**
 * The shortest way along a line that lies in every stretch in turn, beginning and ending where it likes; of all that are
 * as short, one that stays as long as it can and, where it must go on anyway, goes by where it lies best.
 *
 * What is left to go from a place is the least there is and the distance to a stretch of best places, so that one pass
 * from the end finds these, and one from the start goes: it stays where it lies in the best, and else goes towards them.
 * @param stretches least <= most in each
 * @returns a value for each stretch, least <= value <= most
 */
export function shortestThrough(stretches: readonly Stretch[]): readonly number[] {
  const best = bestToGoOnFrom(stretches);
  const way: number[] = [];
  stretches.forEach((stretch, i) => {
    const from = i === 0 ? null : way[i - 1]!;
    const towards = from === null ? best[i]! : between(from, best[i]!);
    const room = { least: Math.max(towards.least, stretch.least), most: Math.min(towards.most, stretch.most) };
    way.push(room.least < room.most ? easeWhileIn(room, stretches, i) : room.least);
  });
  return way;
}

/** Of each stretch the part from which least is left to go. */
function bestToGoOnFrom(stretches: readonly Stretch[]): readonly PlaceBounds[] {
  const best: PlaceBounds[] = [];
  for (let i = stretches.length - 1; i >= 0; i--) {
    const { least, most } = stretches[i]!;
    const after = best[0] ?? { least, most };
    const within = (value: number): number => Math.min(most, Math.max(least, value));
    best.unshift({ least: within(after.least), most: within(after.most) });
  }
  return best;
}

/** From a value as far as the nearest of a stretch: the value alone where it lies in it. */
function between(from: number, { least, most }: PlaceBounds): PlaceBounds {
  if (from < least) return { least: from, most: least };
  return from > most ? { least: most, most: from } : { least: from, most: from };
}

/** Where in some room it lies best on average while it can stay there. */
function easeWhileIn(room: PlaceBounds, stretches: readonly Stretch[], from: number): number {
  let { least, most } = room;
  let [sum, count] = [0, 0];
  for (let i = from; i < stretches.length; i++) {
    const stretch = stretches[i]!;
    const [low, high] = [Math.max(least, stretch.least), Math.min(most, stretch.most)];
    if (low > high) break;
    [least, most] = [low, high];
    sum += stretch.ease;
    count++;
  }
  return Math.min(most, Math.max(least, sum / count));
}
