import { rockingRate } from "../../fingering/cost/rocking";
import type { Frame } from "../../fingering/frames/frame";
import type { Task } from "../../fingering/study/task";
import { PLAN } from "../../physics";

/** Where the energy of a stroke comes from. */
export const SOURCES = ["weight", "arm", "forearm", "fingers"] as const;
export type Source = (typeof SOURCES)[number];
export const STROKE_STARTS = ["on-key", "above"] as const;
export type StrokeStart = (typeof STROKE_STARTS)[number];
export const STROKE_ENDS = ["held", "let-go"] as const;
export type StrokeEnd = (typeof STROKE_ENDS)[number];

/** A touch in its three parts. An impulse of the arm never starts above the key: that sounds harsh and hurts. */
export type StrokeTouch = { readonly end: StrokeEnd; readonly why: string } & (
  | { readonly source: "arm"; readonly start: "on-key" }
  | { readonly source: Exclude<Source, "arm">; readonly start: StrokeStart }
);

export const SOURCE_WORDS: Readonly<Record<Source, string>> = {
  weight: "released weight",
  arm: "impulse of the arm",
  forearm: "turn of the forearm",
  fingers: "fingers alone",
};
export const START_WORDS: Readonly<Record<StrokeStart, string>> = { "on-key": "from the key", above: "from above" };
export const END_WORDS: Readonly<Record<StrokeEnd, string>> = { held: "held", "let-go": "let go at once" };

/** A touch that the player chose, with what is not allowed put right. */
export function touchChosen(source: Source, start: StrokeStart, end: StrokeEnd, why: string): StrokeTouch {
  return source === "arm" ? { source, start: "on-key", end, why } : { source, start, end, why };
}

/** A rule that chooses a touch from texture, loudness and tempo. The first that fits counts. */
interface Rule {
  readonly why: string;
  fits(group: Group): boolean;
  readonly source: Source;
  readonly start: StrokeStart;
}

interface Group {
  readonly chords: boolean;
  readonly load: number;
  /** Notes a second, by the usual time to each from the one before; 0 where there is none. */
  readonly rate: number;
  readonly rocks: boolean;
}

/**
 * Table of rules, in order. Sources: common teaching practice; the bounds of loudness and rate are choices and stand in
 * physics PLAN.
 */
const RULES: readonly Rule[] = [
  {
    why: "loud chords come from the arm and back",
    fits: (g) => g.chords && g.load >= PLAN.loudFrom,
    source: "arm",
    start: "on-key",
  },
  { why: "to and fro is a turn of the forearm", fits: (g) => g.rocks, source: "forearm", start: "on-key" },
  {
    why: "a light run is the fingers' own",
    fits: (g) => !g.chords && g.rate >= PLAN.lightRate && g.load < PLAN.loudFrom,
    source: "fingers",
    start: "on-key",
  },
  {
    why: "a strong quick run has an impulse of the arm behind it",
    fits: (g) => !g.chords && g.rate >= PLAN.lightRate,
    source: "arm",
    start: "on-key",
  },
  {
    why: "soft chords are placed and let sink",
    fits: (g) => g.chords && g.load < PLAN.softTo,
    source: "weight",
    start: "on-key",
  },
  { why: "weight let fall carries notes that have time", fits: () => true, source: "weight", start: "above" },
];

/** The touch of a group of onsets by the rules. */
export function touchOf({ manner }: Task, group: readonly Frame[]): StrokeTouch {
  const seen = seenIn(group);
  const rule = RULES.find((r) => r.fits(seen))!;
  const isShort =
    manner.touch === "detached" || group.every((f) => f.struck.every(({ stroke }) => stroke.soundsMs < shortOf(group)));
  return touchChosen(rule.source, rule.start, isShort ? "let-go" : "held", rule.why);
}

function seenIn(group: readonly Frame[]): Group {
  const struck = group.filter((f) => f.struck.length > 0);
  // What came before counts: a group is as quick as the notes that lead to it.
  const gaps = group
    .map((f) => f.onset.gap)
    .filter(Number.isFinite)
    .sort((a, b) => a - b);
  const usual = gaps[Math.floor(gaps.length / 2)] ?? 0;
  return {
    chords: struck.filter((f) => f.struck.length > 1).length * 2 > struck.length,
    load: Math.max(0, ...struck.flatMap((f) => f.struck.map((p) => p.stroke.load))),
    rate: usual > 0 ? 1000 / usual : 0,
    rocks:
      group.length >= PLAN.thereAndBack &&
      group.slice(2).every((now, i) => rockingRate(group[i]!, group[i + 1]!, now) > 0),
  };
}

/** ms under which a note is cut short: less than nine tenths of the way to the next. */
function shortOf(group: readonly Frame[]): number {
  const gaps = group.slice(1).map((f) => f.onset.gap);
  return gaps.length === 0 ? 0 : PLAN.heldShare * Math.min(...gaps);
}
