import { FINGERS, type Finger, type Side } from "@/core/hand/finger";
import { PUBLISHED_PROPORTIONS } from "@/core/hand/proportions";
import { isBlack, type Pitch } from "@/core/keyboard/pitch";

/**
 * The published ergonomic model of keyboard fingering for melodic fragments (Parncutt, Sloboda, Clarke, Raekallio,
 * Desain, Music Perception 14(4), 1997): twelve rules, intervals in semitones, one hand, single notes. It stands here
 * only as a yardstick for our own engine and is used by nothing else.
 */

/** A note and its finger. Keys of the left hand are reflected, so that they rise from the thumb to the little finger. */
export interface Played {
  readonly key: number;
  readonly finger: Finger;
  readonly black: boolean;
}

/** Limits of a pair in semitones, lower finger first. */
interface Spans {
  readonly leastPractical: number;
  readonly leastComfortable: number;
  readonly leastRelaxed: number;
  readonly mostRelaxed: number;
  readonly mostComfortable: number;
  readonly mostPractical: number;
}

const SPANS = new Map(
  PUBLISHED_PROPORTIONS.map(([low, high, ...s]): [string, Spans] => [
    `${low}${high}`,
    {
      leastPractical: s[0],
      leastComfortable: s[1],
      leastRelaxed: s[2],
      mostRelaxed: s[3],
      mostComfortable: s[4],
      mostPractical: s[5],
    },
  ]),
);

function spansOf(a: Played, b: Played): Spans {
  return SPANS.get(a.finger < b.finger ? `${a.finger}${b.finger}` : `${b.finger}${a.finger}`)!;
}

/** Semitones from the lower finger to the higher: negative where they cross. */
function spanOf(a: Played, b: Played): number {
  return a.finger < b.finger ? b.key - a.key : a.key - b.key;
}

function hasThumb(a: Played, b: Played): boolean {
  return a.finger === 1 || b.finger === 1;
}

const excess = (amount: number): number => Math.max(0, amount);

/** What a rule looks at: a note with the two before it, where there are any. */
type Rule = (now: Played, before: Played | null, earlier: Played | null, after: Played | null) => number;

/** 1. Two points for each semitone beyond comfortable. */
export const stretch: Rule = (now, before) => {
  if (!before || before.finger === now.finger) return 0;
  const { leastComfortable, mostComfortable } = spansOf(before, now);
  const span = spanOf(before, now);
  return 2 * (excess(span - mostComfortable) + excess(leastComfortable - span));
};

/** 2. A point for each semitone closer than relaxed, two without the thumb. */
export const smallSpan: Rule = (now, before) => {
  if (!before || before.finger === now.finger) return 0;
  return (hasThumb(before, now) ? 1 : 2) * excess(spansOf(before, now).leastRelaxed - spanOf(before, now));
};

/** 3. A point for each semitone wider than relaxed, two without the thumb. */
export const largeSpan: Rule = (now, before) => {
  if (!before || before.finger === now.finger) return 0;
  return (hasThumb(before, now) ? 1 : 2) * excess(spanOf(before, now) - spansOf(before, now).mostRelaxed);
};

/** Semitones by which three notes are beyond one comfortable position, by the first and the third. */
function beyondPosition(now: Played, earlier: Played): number {
  if (earlier.finger === now.finger) return Math.abs(now.key - earlier.key);
  const { leastComfortable, mostComfortable } = spansOf(earlier, now);
  const span = spanOf(earlier, now);
  return excess(span - mostComfortable) + excess(leastComfortable - span);
}

/** 4. Two points for a full change of position, one for a half. */
export const positionChangeCount: Rule = (now, before, earlier) => {
  if (!before || !earlier || beyondPosition(now, earlier) === 0) return 0;
  const isBetween = (before.key - earlier.key) * (now.key - before.key) > 0;
  const isBeyondPractical = (): boolean => {
    if (earlier.finger === now.finger) return true;
    const { leastPractical, mostPractical } = spansOf(earlier, now);
    const span = spanOf(earlier, now);
    return span > mostPractical || span < leastPractical;
  };
  return before.finger === 1 && isBetween && isBeyondPractical() ? 2 : 1;
};

/** 5. A point for each semitone of a change of position. */
export const positionChangeSize: Rule = (now, before, earlier) =>
  before && earlier ? beyondPosition(now, earlier) : 0;

/** 6. A point for each use of the fourth or fifth finger. */
export const weakFinger: Rule = ({ finger }) => (finger >= 4 ? 1 : 0);

/** 7. A point for 3, 4 and 5 in a row in any order. */
export const threeFourFive: Rule = (now, before, earlier) => {
  if (!before || !earlier) return 0;
  return [earlier, before, now]
    .map((p) => p.finger)
    .sort()
    .join("") === "345"
    ? 1
    : 0;
};

/** 8. A point for 3 followed by 4. */
export const threeToFour: Rule = (now, before) => (before?.finger === 3 && now.finger === 4 ? 1 : 0);

/** 9. A point for 3 on a white key beside 4 on a black one. */
export const fourOnBlack: Rule = (now, before) => {
  if (!before) return 0;
  const [three, four] = before.finger === 3 ? [before, now] : [now, before];
  return three.finger === 3 && four.finger === 4 && !three.black && four.black ? 1 : 0;
};

/** 10. A point for the thumb on black, two more for a white key before and two for one after. */
export const thumbOnBlack: Rule = (now, before, _earlier, after) => {
  if (now.finger !== 1 || !now.black) return 0;
  return 1 + (before && !before.black ? 2 : 0) + (after && !after.black ? 2 : 0);
};

/** 11. Two points for a white key before the little finger on black, and two for one after. */
export const fiveOnBlack: Rule = (now, before, _earlier, after) => {
  if (now.finger !== 5 || !now.black) return 0;
  return (before && !before.black ? 2 : 0) + (after && !after.black ? 2 : 0);
};

/** 12. A point for a thumb pass on one level, three with the thumb on black and the other finger on white. */
export const thumbPassing: Rule = (now, before) => {
  if (!before || before.finger === now.finger || !hasThumb(before, now) || spanOf(before, now) >= 0) return 0;
  if (before.black === now.black) return 1;
  const thumb = before.finger === 1 ? before : now;
  return thumb.black ? 3 : 0;
};

export const RULES: readonly Rule[] = [
  stretch,
  smallSpan,
  largeSpan,
  positionChangeCount,
  positionChangeSize,
  weakFinger,
  threeFourFive,
  threeToFour,
  fourOnBlack,
  thumbOnBlack,
  fiveOnBlack,
  thumbPassing,
];

/** The notes of a hand with fingers given. */
export function played(keys: readonly number[], fingers: readonly number[], side: Side): readonly Played[] {
  return keys.map((key, i) => ({
    key: side === "right" ? key : -key,
    finger: fingers[i] as Finger,
    black: isBlack(key as Pitch),
  }));
}

/** Points of a whole fingering. */
export function points(notes: readonly Played[]): number {
  return notes.reduce((sum, now, i) => sum + pointsAt(null, now, notes[i - 1], notes[i - 2], notes[i + 1]), 0);
}

/** What each rule's points are multiplied with; one where not said, as published. */
export type RuleWeights = readonly number[];

function pointsAt(weights: RuleWeights | null, now: Played, ...around: readonly (Played | undefined)[]): number {
  const [before, earlier, after] = around;
  return RULES.reduce(
    (sum, rule, i) => sum + (weights?.[i] ?? 1) * rule(now, before ?? null, earlier ?? null, after ?? null),
    0,
  );
}

/** Whether two notes in turn are practically possible: on other keys, other fingers within practical spans. */
export function isPossible(before: Played, now: Played): boolean {
  if (before.finger === now.finger) return before.key === now.key;
  const span = spanOf(before, now);
  const { leastPractical, mostPractical } = spansOf(before, now);
  return before.key === now.key || (span >= leastPractical && span <= mostPractical);
}

/** The fingering of fewest points, exactly; of equal ones the first in the order of fingers. Keys lie within reach of one another. */
export function bestFingers(
  keys: readonly number[],
  side: Side,
  weights: RuleWeights | null = null,
): readonly Finger[] {
  const at = (i: number, finger: Finger): Played => played([keys[i]!], [finger], side)[0]!;
  let ways: readonly Way[] = FINGERS.map((finger) => ({ total: 0, fingers: [finger] }));
  for (let i = 1; i < keys.length; i++) ways = goOn(ways, i, at, weights);
  const last = keys.length - 1;
  const ended = ways.map(({ total, fingers }) => ({
    total: total + pointsOfLast(fingers, last, at, weights),
    fingers,
  }));
  return ended.reduce((a, b) => (b.total < a.total ? b : a)).fingers;
}

interface Way {
  readonly total: number;
  readonly fingers: readonly Finger[];
}

type At = (i: number, finger: Finger) => Played;

/** Points of the last note so far: they can be told when the note after it is known, or there is none. */
function pointsOfLast(
  fingers: readonly Finger[],
  i: number,
  at: At,
  weights: RuleWeights | null,
  after?: Played,
): number {
  const one = (n: number): Played | undefined => (n < 0 ? undefined : at(n, fingers[n]!));
  return pointsAt(weights, one(i)!, one(i - 1), one(i - 2), after);
}

/** Ways one note longer. A way's future hangs on its last three fingers alone. */
function goOn(ways: readonly Way[], i: number, at: At, weights: RuleWeights | null): readonly Way[] {
  const best = new Map<string, Way>();
  for (const { total, fingers } of ways) {
    for (const finger of FINGERS) {
      const now = at(i, finger);
      if (!isPossible(at(i - 1, fingers[i - 1]!), now)) continue;
      const way = { total: total + pointsOfLast(fingers, i - 1, at, weights, now), fingers: [...fingers, finger] };
      const key = way.fingers.slice(-3).join("");
      if (!best.has(key) || way.total < best.get(key)!.total) best.set(key, way);
    }
  }
  return [...best.values()];
}
