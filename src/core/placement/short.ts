import type { Finger } from "../hand/finger";
import type { Hand } from "../hand/hand";
import { boundsAt, hasRoom, type PairBound } from "./openings";
import type { OutOfReach } from "./placement";
import { intervalsOf, pairsOf, type TipStanding } from "./standing";
import type { Way } from "./ways";

/** mm to within which the shortness is found. */
const SHORT_STEP = 0.01;
/** mm; nothing on a keyboard is farther out of reach than this. */
const FARTHEST = 1300;

/** How much wider the hand would have to be, and the pair that asks for it. */
export function outOfReach(hand: Hand, tried: Way, choices: readonly (readonly TipStanding[])[]): OutOfReach {
  let short: OutOfReach["short"] = null;
  for (const standing of choices) {
    const pairs = pairsOf(hand, tried, standing);
    const tips = intervalsOf(standing);
    if (!hasRoom(tips, pairs, 100, FARTHEST)) continue;
    let [no, yes] = [0, FARTHEST];
    while (yes - no > SHORT_STEP) {
      const middle = (no + yes) / 2;
      if (hasRoom(tips, pairs, 100, middle)) yes = middle;
      else no = middle;
    }
    if (yes <= SHORT_STEP || (short && yes >= short.mm)) continue;
    const bounds = boundsAt(tips, pairs, 100, yes)!;
    short = { pair: shortestPair(pairs, standing, bounds), mm: yes };
  }
  return { kind: "out-of-reach", short, tried };
}

/** The pair that is pressed hardest: it has the least play left. */
function shortestPair(
  pairs: readonly PairBound[],
  standing: readonly TipStanding[],
  bounds: Float64Array,
): readonly [Finger, Finger] {
  const n = standing.length + 1;
  const beyond = ({ low, high, limits }: PairBound): number =>
    -bounds[(high + 1) * n + low + 1]! - limits.widestPractical;
  const [first] = [...pairs].sort((a, b) => beyond(b) - beyond(a));
  return [standing[first!.low]!.finger, standing[first!.high]!.finger];
}
