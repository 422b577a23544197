import { travelBetween } from "../../fingering/cost/travel";
import type { Frame } from "../../fingering/frames/frame";
import type { Task } from "../../fingering/study/task";
import { PLAN } from "../../physics";
import { leavingMs } from "../hand/release";
import { FREE, type Place, type PlaceBounds } from "./place";
import { smoothest, type Course, type Knot } from "./smooth";

/** A moment at which a hand is asked where it lies: an onset, or where it leaves the place of one. */
export interface KnotTime {
  readonly ms: number;
  /** Place of its onset, from 0. */
  readonly of: number;
  readonly leaves: boolean;
  /** Whether it leaves for a place far off, or for none: there it rests until it goes. Else it drifts on as far as its fingers let it. */
  readonly rests: boolean;
}

/** A stretch as far as bounds leave it; the bound nearest to it where they leave nothing. */
export function meeting(stretch: PlaceBounds, { least, most }: PlaceBounds): PlaceBounds {
  const within = (value: number): number => Math.min(most, Math.max(least, value));
  return { least: within(stretch.least), most: within(stretch.most) };
}

/** What is wanted of a coordinate at a knot. */
export interface Wanted extends PlaceBounds {
  readonly ease: number;
  /** The stretch in which it lies as well as at ease. */
  readonly within?: PlaceBounds;
}

interface SmoothingManner {
  /** What the coordinate goes up by until the hand leaves. */
  readonly lifted?: number;
  /** Whether fingers that are down bind it to where it is until they leave: not in and out, where they slide along. */
  readonly isBound?: boolean;
  /** What a long way costs beside a bent one; nothing where not said. */
  readonly shorten?: number;
}

/** The moments of a hand's way at which its coordinates are asked for. */
export interface Clock {
  readonly times: readonly KnotTime[];
  /** Place among the knots of each onset. */
  readonly onsets: readonly number[];
  /**
   * One coordinate smoothed. A knot stands at every onset, and one where the hand may leave a place that it is bound to
   * for long.
   * @param wanted of a place, at a knot, by the place of its onset
   */
  smoothed(wanted: (at: Place, knot: number, onset: number) => Wanted, manner?: SmoothingManner): Course;
}

/** A knot at every onset, and one where the hand leaves a place for a far one, or one that binds it, or at the end. */
export function timesOf(task: Task, frames: readonly Frame[]): readonly KnotTime[] {
  const times: KnotTime[] = [];
  frames.forEach((frame, i) => {
    const ms = Math.max(frame.onset.ms, (times.at(-1)?.ms ?? -Infinity) + 1);
    times.push({ ms, of: i, leaves: false, rests: false });
    const next = frames[i + 1] ?? null;
    const leave = leavingMs(task, frame, next);
    const isFar = next === null || travelBetween(task.hand, frame, next) > PLAN.leapFrom;
    // One finger that is down lets the hand go on ahead of it; several do not, where there is a way to go after them.
    const isBound =
      frame.struck.length + frame.held.length > 1 && next !== null && next.onset.ms - leave > PLAN.leaveLeast;
    if (leave - ms > PLAN.leaveLeast && (isFar || isBound))
      times.push({ ms: leave, of: i, leaves: true, rests: isFar });
  });
  return times;
}

/** The clock of some knots over the places that they are of, both in order; places from 0. */
export function clockOver(times: readonly KnotTime[], places: readonly Place[]): Clock {
  const onsets = times.flatMap(({ leaves }, k) => (leaves ? [] : [k]));
  const smoothing = (isBound: boolean): readonly number[] =>
    times.slice(1).map(({ ms }, k) => {
      const { ms: from, rests } = times[k]!;
      const share = rests && isBound ? PLAN.carriedShare : PLAN.smoothShare;
      return Math.min(PLAN.smoothMs, share * (ms - from));
    });
  return {
    times,
    onsets,
    smoothed(wanted, { lifted = 0, isBound = true, shorten = 0 } = {}) {
      const knots = times.map(({ ms, of, leaves, rests }, k): Knot => {
        const place = places[of]!;
        const { ease, within, least, most }: Wanted =
          place.standing.length > 0 ? wanted(place, k, of) : { ease: place.ease, ...FREE };
        // The harder a placement is, the less there is to leave of it.
        const firm = 1 + place.strain / PLAN.firmStrain;
        const share = !leaves ? 1 : rests && (isBound || k === times.length - 1) ? PLAN.restingWeight : 0;
        const weight = place.standing.length === 0 ? 0 : firm * share;
        if (!within) return { ms, ease: leaves ? ease + lifted : ease, weight, least, most };
        return {
          ms,
          ease,
          within: meeting(within, { least, most }),
          weight: PLAN.comfort * weight,
          pull: (PLAN.pull * weight) / firm,
          least,
          most,
        };
      });
      return smoothest(knots, smoothing(isBound), shorten);
    },
  };
}
