import { READING } from "../../physics";
import { REACH, type Asking } from "./asking";
import { Kept } from "./kept";
import { BEFORE, begunAt, eachMove, endCost, jumpCost, type Meant, type Reader } from "./moves";
import { AHEAD, musicOf, type Music } from "./music";
import { Places } from "./places";
import { EQUAL, JUMPS, partsOf, type Reached } from "./reached";
import { readBack } from "./read-back";

/** The cheapest reading of a take, key by key. */
export interface Aligned {
  /** What each key is read as, in the order of the keys. */
  readonly meant: readonly Meant[];
  /** Places of keys that another reading, as good, reads otherwise. */
  readonly doubtful: readonly number[];
  /** In faults: see READING. */
  readonly cost: number;
}

/**
 * The reading of all keys that costs least, exactly: key by key, every standing that can still win is kept with the
 * cheapest ways to it. A reading may go on anywhere at the price of a jump, so that none that costs more than the cheapest
 * and a jump can win; what is kept is therefore few, whatever the length. Standings at places with the same music ahead are
 * one until it parts, so that they are few as well where a bar comes again and again. Where several readings cost the same,
 * the keys that they read differently are named.
 */
export function aligned(reader: Reader, music: Music = musicOf(reader.onsets)): Aligned {
  let now: readonly Reached[] = [
    { standing: BEFORE, places: Places.one(BEFORE.onset), cost: 0, by: [], ahead: reader.onsets.length + 1 },
  ];
  let aside: Jump | null = null;
  reader.keys.forEach((_, j) => {
    const kept = new Kept(reader, music.ahead);
    const isParting = (one: Reached): boolean => one.places.size > 1 && one.ahead <= REACH;
    const parted = now.some(isParting)
      ? now.flatMap((one) => (isParting(one) ? [...partsOf(one, music.ahead)] : one))
      : now;
    goOn(reader, parted, j, kept);
    if (aside) goOn(reader, jumped(aside, stillWanted(aside, kept)), j, kept);
    aside = jumpAnywhere(reader, parted, j, kept, music);
    now = kept.all();
  });
  const ended = now
    .map((reached) => ({ ...reached, cost: reached.cost + endCost(reached.standing) }))
    .sort((a, b) => a.cost - b.cost);
  return { ...readBack(ended, reader.keys.length), cost: ended[0]!.cost };
}

/** Every way to read the next key from where a reading stands. */
function goOn(reader: Reader, now: readonly Reached[], j: number, kept: Kept): void {
  for (const from of now)
    eachMove(reader, from.standing, j, kept.roomFrom(from.cost), (to, cost, note, back) => {
      if (!kept.isWanted(from.cost + cost)) return;
      const advance = to.onset - from.standing.onset;
      const step = { from, places: from.places.moved(advance), advance, note, back };
      kept.take(to, from.cost + cost, step, from.ahead - advance);
    });
}

/** A reading that goes on with a key at other places. */
interface Jump {
  readonly froms: readonly Reached[];
  readonly cost: number;
  readonly j: number;
  readonly all: readonly Asking[];
  /** Those among them where the next key is read cheaply; at all others it costs at least what one does that nothing asks for. */
  readonly soon: readonly Asking[];
}

/** Of a jump's places that were set aside, those that may win when it is known what the next key costs elsewhere. */
function stillWanted({ cost, all, soon }: Jump, kept: Kept): readonly Asking[] {
  if (READING.extra > kept.roomFrom(cost)) return [];
  const known = new Set(soon);
  return all.filter((one) => !known.has(one));
}

/**
 * From the cheapest to wherever a key is asked for; where the cheapest goes on for nothing, to jump later is no dearer than to
 * jump now. Places where the next key is not cheap are set aside until it is known what that costs elsewhere: they are nearly
 * all, and nearly always too dear by then.
 */
function jumpAnywhere(reader: Reader, now: readonly Reached[], j: number, kept: Kept, music: Music): Jump | null {
  const before = now[0]!.cost;
  if (kept.least <= before + EQUAL) return null;
  const { all, byNext } = music.asking.of(reader.keys[j]!.key);
  const next = reader.keys[j + 1];
  const soon = next ? (byNext.get(next.key) ?? []) : all;
  const froms = now.filter((from) => from.cost <= before + EQUAL);
  const jump = { froms, cost: before + jumpCost(reader, j), j, all, soon };
  if (kept.isWanted(jump.cost))
    for (const { standing, cost, by, ahead } of jumped(jump, soon))
      for (const step of by) kept.take(standing, cost, step, ahead);
  return jump;
}

function jumped({ froms, cost, j }: Jump, asking: readonly Asking[]): readonly Reached[] {
  return asking.map(({ note, places }) => {
    const standing = begunAt(places.first, note, j);
    const by = froms.map((from) => ({ from, places, advance: JUMPS, note, back: 0 }));
    return { standing, places, cost, by, ahead: AHEAD - 1 };
  });
}
