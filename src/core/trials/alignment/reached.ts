import type { Meant, Standing } from "./moves";
import { AHEAD } from "./music";
import { Places } from "./places";

/**
 * A standing reached by the cheapest ways there, at one place of the music or at many with the same music ahead: as long as
 * they have that in common, what is worked out for the first holds for all.
 */
export interface Reached {
  /** At the first of its places. */
  readonly standing: Standing;
  readonly places: Places;
  readonly cost: number;
  /** The steps that lead there at that cost; more than one where readings are equally good. */
  readonly by: readonly Step[];
  /** Onsets from here that all its places have in common. */
  readonly ahead: number;
}

/** A way to read one key. */
export interface Step {
  readonly from: Reached;
  /** Where it leads to: each place as many onsets on as the others; a jump leads from anywhere to each of them. */
  readonly places: Places;
  /** Onsets, or JUMPS. */
  readonly advance: number;
  /** What the key is read as: a note of its onset, -1 for none, so many onsets before the one it leads to. */
  readonly note: number;
  readonly back: number;
}

/** Of a step that does not go on but jumps. */
export const JUMPS = -1;

/** Costs that differ by less are the same. */
export const EQUAL = 1e-9;

/** What a key is read as by a step that leads to a place. */
export function meantBy({ advance, note, back }: Step, place: number): Meant {
  return { onset: note < 0 ? -1 : place - back, note, jumps: advance === JUMPS };
}

/** The same, with its standing at the first of its places, whichever that has become. */
export function atFirst(reached: Reached): Reached {
  const { standing, places } = reached;
  return standing.onset === places.first ? reached : { ...reached, standing: { ...standing, onset: places.first } };
}

/** The parts of what was reached at many places that have the music ahead in common, as far as can be told again. */
export function* partsOf(reached: Reached, music: ArrayLike<number>): Generator<Reached> {
  const back = reached.standing.owed === 0 ? 0 : 1;
  const parts = new Map<number, number[]>();
  reached.places.forEach((place) => {
    const number = music[place - back]!;
    const known = parts.get(number);
    if (known) known.push(place);
    else parts.set(number, [place]);
  });
  for (const part of parts.values()) {
    const places = parts.size === 1 ? reached.places : Places.of(part);
    yield atFirst({ ...reached, places, ahead: AHEAD - 1 });
  }
}
