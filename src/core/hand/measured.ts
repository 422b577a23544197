import { CONTACT, HAND, ESTIMATE } from "../physics";
import { FINGERS, type Finger, type Side } from "./finger";
import { handOfLimits, rotationOf, limitsOf, pairIndex, scaledLimits, type Hand } from "./hand";
import type { Limits } from "./limits";
import { PAIRS, pairName, type PairName } from "./pair";
import { PUBLISHED_PROPORTIONS } from "./proportions";

/** What was measured of one hand, mm. Whatever is missing is estimated from what is there. */
export interface HandMeasured {
  /** Outer edge of thumb to outer edge of little finger, open on a table. */
  readonly rulerSpan?: number | undefined;
  /** Openings between contact centres. */
  readonly pairs?: Readonly<Partial<Record<PairName, PairMeasured>>>;
  /** Width of fingertips. */
  readonly tipWidths?: Readonly<Partial<Record<Finger, number>>>;
  /** How far fingertips lie behind the foremost, hand flat. */
  readonly behind?: Readonly<Partial<Record<Finger, number>>>;
  /** Full turns of the forearm to and fro a second that go with ease. */
  readonly turnsEase?: number | undefined;
}

/** A hand as plain data. */
export interface HandGiven {
  readonly measured: HandMeasured;
  readonly resting: readonly Finger[];
}

export interface PairMeasured {
  readonly comfortable?: number | undefined;
  readonly widest?: number | undefined;
}

/** A figure of a hand in mm, measured or estimated, with the range in which it may well lie. */
interface SpanFigure {
  readonly mm: number;
  readonly measured: boolean;
  readonly range: readonly [number, number];
}

/** The two figures of a pair that can be measured. */
export type Spans = Readonly<Record<keyof PairMeasured, SpanFigure>>;

/**
 * A hand from what was measured of it. A pair never measured has the published proportions in the mean ratio of
 * all that were; a pair measured in one figure has the other in its own ratio. The ruler counts as the widest of
 * 1 and 5 where those were not measured at the keys. Nothing measured at all makes a middle hand.
 * What cannot be so is for problemsOf to say; here it is taken as it is.
 */
export function handOfMeasured(side: Side, measured: HandMeasured, resting: readonly Finger[] = []): Hand {
  const ratios = ratiosOf(measured);
  const limits: Limits[] = [];
  for (const row of PUBLISHED_PROPORTIONS) {
    const given = measured.pairs?.[pairName(row[0], row[1])] ?? {};
    limits[pairIndex(row[0], row[1])] = withMeasured(scaledLimits(row, ratios.of(row[0], row[1])), given);
  }
  const hand = handOfLimits(side, limits, measured.rulerSpan, resting);
  return {
    ...hand,
    tipWidths: FINGERS.map((finger) => measured.tipWidths?.[finger] ?? hand.tipWidths[finger - 1]!),
    ...behindOf(hand, measured.behind ?? {}),
    ...(measured.turnsEase === undefined ? {} : { rotation: rotationOf(measured.turnsEase) }),
  };
}

/** The comfortable and widest opening of every pair, each said to be measured or estimated. */
export function spansOf(measured: HandMeasured): Readonly<Record<PairName, Spans>> {
  const hand = handOfMeasured("right", measured);
  const doubt = ratiosOf(measured).doubt;
  const of = ([a, b]: readonly [Finger, Finger]): Spans => {
    const given = withRuler(measured)[pairName(a, b)] ?? {};
    const { widestComfortable, widestPractical } = limitsOf(hand, a, b);
    const own = given.comfortable !== undefined || given.widest !== undefined ? ESTIMATE.ownDoubt : doubt;
    return {
      comfortable: figure(widestComfortable, given.comfortable !== undefined, own),
      widest: figure(widestPractical, given.widest !== undefined, own),
    };
  };
  return Object.fromEntries(PAIRS.map((pair) => [pairName(...pair), of(pair)])) as Record<PairName, Spans>;
}

function figure(mm: number, measured: boolean, doubt: number): SpanFigure {
  return { mm, measured, range: measured ? [mm, mm] : [mm * (1 - doubt), mm * (1 + doubt)] };
}

/** Pairs measured, the ruler standing in for the widest of 1 and 5. */
function withRuler({ pairs = {}, rulerSpan }: HandMeasured): Readonly<Partial<Record<PairName, PairMeasured>>> {
  if (rulerSpan === undefined || pairs["1-5"]?.widest !== undefined) return pairs;
  return { ...pairs, "1-5": { ...pairs["1-5"], widest: rulerSpan - HAND.rulerToKeySpan } };
}

/** How this hand compares with the published one, pair by pair and in the mean. */
function ratiosOf(measured: HandMeasured): { of(a: Finger, b: Finger): number; readonly doubt: number } {
  const known = new Map<PairName, number>();
  const pairs = withRuler(measured);
  for (const [a, b, , , , , comfortable, widest] of PUBLISHED_PROPORTIONS) {
    const given = pairs[pairName(a, b)];
    if (given?.widest !== undefined) known.set(pairName(a, b), given.widest / (widest * HAND.publishedSemitone));
    else if (given?.comfortable !== undefined)
      known.set(pairName(a, b), given.comfortable / (comfortable * HAND.publishedSemitone));
  }
  const all = [...known.values()];
  if (all.length === 0) {
    const middle = (HAND.middleRulerSpan - HAND.rulerToKeySpan) / (HAND.publishedWidest * HAND.publishedSemitone);
    return { of: () => middle, doubt: ESTIMATE.nothingDoubt };
  }
  const mean = all.reduce((sum, ratio) => sum + ratio, 0) / all.length;
  const spread = (Math.max(...all) - Math.min(...all)) / mean;
  return { of: (a, b) => known.get(pairName(a, b)) ?? mean, doubt: ESTIMATE.otherDoubt + spread / 2 };
}

/** Limits with what was measured in the place of what was scaled, still rising from first to last. */
function withMeasured(scaled: Limits, { comfortable, widest }: PairMeasured): Limits {
  const ramp = HAND.leastRamp;
  if (comfortable === undefined && widest === undefined) return scaled;
  const widestPractical = widest ?? Math.max(scaled.widestPractical, comfortable! + ramp);
  const widestComfortable = Math.min(comfortable ?? scaled.widestComfortable, widestPractical - ramp);
  const widestRelaxed = Math.min(scaled.widestRelaxed, widestComfortable - ramp);
  const leastRelaxed = Math.min(scaled.leastRelaxed, widestRelaxed);
  const leastComfortable = Math.min(scaled.leastComfortable, leastRelaxed - ramp);
  const leastPractical = Math.min(scaled.leastPractical, leastComfortable - ramp);
  return { leastPractical, leastComfortable, leastRelaxed, widestRelaxed, widestComfortable, widestPractical };
}

function behindOf(hand: Hand, given: Readonly<Partial<Record<Finger, number>>>): Pick<Hand, "behind" | "behindFlat"> {
  const raw = FINGERS.map((finger) => given[finger] ?? hand.behindFlat[finger - 1]!);
  const foremost = Math.min(...raw);
  const behindFlat = raw.map((mm) => mm - foremost);
  return { behindFlat, behind: behindFlat.map((mm) => mm * HAND.naturalCurve) };
}

/** Something that cannot be so, and which figure it is about. */
export interface Problem {
  readonly at: string;
  readonly sentence: string;
}

/** Everything that cannot be so in what was measured: empty when a hand can be like that. */
export function problemsOf(measured: HandMeasured): readonly Problem[] {
  return [...rangeProblems(measured), ...orderProblems(measured), ...nestingProblems(measured)];
}

function rangeProblems({ rulerSpan, pairs = {}, tipWidths = {}, behind = {}, turnsEase }: HandMeasured): Problem[] {
  const problems: Problem[] = [];
  const ask = (at: string, what: string, mm: number | undefined, [least, most]: readonly [number, number]): void => {
    if (mm === undefined || (mm >= least && mm <= most)) return;
    problems.push({
      at,
      sentence: `${what} of ${Math.round(mm)} mm is outside what a hand can be (${Math.round(least)} to ${Math.round(most)} mm).`,
    });
  };
  ask("rulerSpan", "A span", rulerSpan, HAND.rulerSpanRange);
  for (const [a, b, , , , , , widest] of PUBLISHED_PROPORTIONS) {
    const name = pairName(a, b);
    const range = HAND.pairRange.map((share) => share * widest * HAND.publishedSemitone) as [number, number];
    ask(`pairs.${name}.comfortable`, `A comfortable opening of ${a} and ${b}`, pairs[name]?.comfortable, range);
    ask(`pairs.${name}.widest`, `A widest opening of ${a} and ${b}`, pairs[name]?.widest, range);
  }
  for (const finger of FINGERS) {
    const range = finger === 1 ? CONTACT.thumbWidthRange : CONTACT.tipWidthRange;
    ask(`tipWidths.${finger}`, `A tip of finger ${finger}`, tipWidths[finger], range);
    ask(`behind.${finger}`, `A distance behind the foremost tip of finger ${finger}`, behind[finger], HAND.behindRange);
  }
  const [fewest, most] = HAND.turnsRange;
  if (turnsEase !== undefined && !(turnsEase >= fewest && turnsEase <= most))
    problems.push({
      at: "turnsEase",
      sentence: `${turnsEase} turns of the forearm a second are outside what goes with ease (${fewest} to ${most}).`,
    });
  return problems;
}

function orderProblems({ rulerSpan, pairs = {} }: HandMeasured): Problem[] {
  const problems: Problem[] = [];
  for (const [a, b] of PAIRS) {
    const { comfortable, widest } = pairs[pairName(a, b)] ?? {};
    if (comfortable === undefined || widest === undefined || comfortable <= widest) continue;
    problems.push({
      at: `pairs.${pairName(a, b)}.comfortable`,
      sentence: `${a} and ${b} cannot open more with comfort (${Math.round(comfortable)} mm) than at their widest (${Math.round(widest)} mm).`,
    });
  }
  const widest = pairs["1-5"]?.widest ?? pairs["1-5"]?.comfortable;
  if (rulerSpan !== undefined && widest !== undefined && widest > rulerSpan) {
    problems.push({
      at: "pairs.1-5.widest",
      sentence: `1 and 5 cannot hold keys ${Math.round(widest)} mm apart with a hand that is ${Math.round(rulerSpan)} mm wide on a ruler.`,
    });
  }
  return problems;
}

/** A pair cannot open more than a pair that has it between its fingers. */
function nestingProblems(measured: HandMeasured): Problem[] {
  const pairs = withRuler(measured);
  return PAIRS.flatMap(([a, b]) =>
    PAIRS.flatMap(([c, d]) => {
      const [inner, outer] = [pairs[pairName(a, b)]?.widest, pairs[pairName(c, d)]?.widest];
      const inside = c <= a && b <= d && (c !== a || b !== d);
      if (!inside || inner === undefined || outer === undefined || inner <= outer) return [];
      const sentence = `${a} and ${b} cannot open more (${Math.round(inner)} mm) than ${c} and ${d}, which have them between them (${Math.round(outer)} mm).`;
      return [{ at: `pairs.${pairName(a, b)}.widest`, sentence }];
    }),
  );
}
