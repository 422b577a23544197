import { TRANSCRIPTION } from "../physics";
import { griddedAt } from "./grid";

/** A moment as it is struck. */
export interface Struck {
  /** ms from the start. */
  readonly ms: number;
  readonly weight: number;
}

/** Beats found in what was played. */
export interface BeatFound {
  /** Quarter notes at each moment, 0 for the first beat; none before it. */
  readonly quarters: readonly number[];
  /** Quarter notes a minute, in the middle of what is there. */
  readonly tempo: number;
}

/** A way through the moments that are beats. */
interface Way {
  readonly worth: number;
  readonly period: number;
  readonly at: number;
  /** Beats from the last moment that is one to this. */
  readonly beats: number;
  readonly from: Way | null;
}

/**
 * Finds the beat of something played freely. For each tempo that it may begin with the chain of moments that are beats is
 * found by dynamic programming: a beat is worth what its moment weighs, and costs for the time since the last being longer or
 * shorter than the tempo so far has it, and for beats on which nothing is struck (after Ellis, Journal of New Music Research
 * 36(1), 2007, with the tempo carried along). Of all of them that is taken after which the moments stand on a grid best.
 * @param moments in order, at least two
 */
export function beatByEar(moments: readonly Struck[]): BeatFound {
  let best: (BeatFound & { readonly cost: number }) | null = null;
  for (
    let period: number = TRANSCRIPTION.periods[0];
    period <= TRANSCRIPTION.periods[1];
    period *= TRANSCRIPTION.periodStep
  ) {
    const beats = beatsFrom(moments, period);
    if (beats.length < 2) continue;
    const quarters = quartersBy(beats, moments);
    const middle = (beats.at(-1)!.ms - beats[0]!.ms) / (beats.at(-1)!.beat - beats[0]!.beat);
    const tempo = 60_000 / middle;
    const cost = costOfBeat(quarters, tempo);
    if (best === null || cost < best.cost) best = { quarters, tempo, cost };
  }
  if (best) return best;
  const first = moments[0]?.ms ?? 0;
  return {
    quarters: moments.map(({ ms }) => (ms - first) / TRANSCRIPTION.usualPeriod),
    tempo: 60_000 / TRANSCRIPTION.usualPeriod,
  };
}

interface BeatAt {
  readonly ms: number;
  readonly beat: number;
}

/** The chain of beats that is worth most, beginning at about some period. */
function beatsFrom(moments: readonly Struck[], start: number): readonly BeatAt[] {
  const ways: Way[] = [];
  moments.forEach(({ ms, weight }, i) => {
    let best: Way = { worth: weight - i * TRANSCRIPTION.skippedAtStart, period: start, at: i, beats: 0, from: null };
    for (let k = i - 1; k >= 0; k--) {
      const from = ways[k]!;
      const gap = ms - moments[k]!.ms;
      if (gap > MOST_BEATS * TRANSCRIPTION.periods[1]) break;
      const beats = Math.round(gap / from.period);
      if (beats < 1 || beats > MOST_BEATS) continue;
      const off = Math.log(gap / beats / from.period);
      const worth =
        from.worth + weight - TRANSCRIPTION.unsteady * off ** 2 * beats - TRANSCRIPTION.emptyBeat * (beats - 1);
      if (worth <= best.worth) continue;
      const period = from.period * Math.exp(TRANSCRIPTION.follows * off);
      best = { worth, period, at: i, beats, from };
    }
    ways.push(best);
  });
  const last = ways.slice(-MOST_AT_END).reduce((a, b) => (b.worth > a.worth ? b : a));
  const chain: Way[] = [];
  for (let way: Way | null = last; way; way = way.from) chain.push(way);
  let beat = 0;
  return chain.reverse().map((way) => ({ ms: moments[way.at]!.ms, beat: (beat += way.beats) }));
}

/** Beats that may pass with nothing struck on them. */
const MOST_BEATS = 4;
/** Moments at the end one of which is the last beat. */
const MOST_AT_END = 6;

/** Quarter notes at each moment, between beats in proportion, before and after them at the nearest tempo; 0 or more. */
function quartersBy(beats: readonly BeatAt[], moments: readonly Struck[]): readonly number[] {
  let i = 0;
  const raw = moments.map(({ ms }) => {
    while (i + 2 < beats.length && beats[i + 1]!.ms <= ms) i++;
    const [a, b] = [beats[i]!, beats[i + 1]!];
    return a.beat + ((ms - a.ms) * (b.beat - a.beat)) / (b.ms - a.ms);
  });
  // What comes before the first beat is an upbeat: counted from a whole beat before it.
  const before = Math.max(0, Math.ceil(-Math.min(...raw) - 0.1));
  return raw.map((quarter) => Math.max(0, quarter + before));
}

/**
 * How badly a beat fits: what its moments cost on a grid, what its beats cost, so that twice as many are no better for being
 * divided less, and how unusual its tempo is. @param tempo quarter notes a minute
 */
export function costOfBeat(quarters: readonly number[], tempo: number): number {
  const spread = (TRANSCRIPTION.spreadMs * tempo) / 60_000;
  const beats = (quarters.at(-1) ?? 0) - (quarters[0] ?? 0);
  const prior = TRANSCRIPTION.tempoPrior * Math.log(60_000 / tempo / TRANSCRIPTION.usualPeriod) ** 2;
  return griddedAt(quarters, spread, 16).cost + (TRANSCRIPTION.beatCost * beats) / Math.max(1, quarters.length) + prior;
}
