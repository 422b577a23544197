import { READING } from "../../physics";
import type { OnsetExpected } from "../expected";
import { BEFORE, eachMove, isOpen, jump, jumpCost, type Meant, type Reader, type Room, type Standing } from "./moves";

/** The cheapest reading of a take, key by key. */
export interface Aligned {
  /** What each key is read as, in the order of the keys. */
  readonly meant: readonly Meant[];
  /** Places of keys that another reading, as good, reads otherwise. */
  readonly doubtful: readonly number[];
  /** In faults: see READING. */
  readonly cost: number;
}

/** A standing reached, by the cheapest ways there. */
interface Reached {
  readonly standing: Standing;
  cost: number;
  /** The steps that lead there at that cost; more than one where readings are equally good. */
  by: Step[];
}

interface Step {
  readonly from: Reached;
  readonly meant: Meant;
}

const EQUAL = 1e-9;
/** By how much the time of an onset may yet make a reading cheaper that is in the middle of a chord. */
const SLACK = READING.timeMost + READING.spreadMost;

/**
 * The reading of all keys that costs least, exactly: key by key, every standing that can still win is kept with the
 * cheapest ways to it. A reading may go on anywhere at the price of a jump, so that none that costs more than the cheapest
 * and a jump can win; what is kept is therefore few, whatever the length. Where several readings cost the same, the keys
 * that they read differently are named.
 */
export function aligned(reader: Reader): Aligned {
  const places = placesByKey(reader.onsets);
  let now: readonly Reached[] = [{ standing: BEFORE, cost: 0, by: [] }];
  reader.keys.forEach(({ key }, j) => {
    now = stepped(reader, now, j, places.get(key) ?? []);
  });
  const cost = cheapest(now);
  const ends = now.filter((reached) => reached.cost <= cost + EQUAL);
  return { ...readBack(ends, reader.keys.length), cost };
}

function stepped(
  reader: Reader,
  now: readonly Reached[],
  j: number,
  places: readonly (readonly [onset: number, note: number])[],
): readonly Reached[] {
  const next = new Kept(reader.onsets);
  for (const from of now)
    eachMove(reader, from.standing, j, next.roomFrom(from.cost), (to, meant, cost) =>
      next.take(to, from.cost + cost, { from, meant }),
    );
  const before = cheapest(now);
  // Where the cheapest goes on for nothing, to jump later is no dearer than to jump now.
  if (next.least > before + EQUAL) {
    const cost = jumpCost(reader, j);
    const froms = now.filter((from) => from.cost <= before + EQUAL);
    for (const [onset, note] of places) {
      if (isLostNext(reader, onset, j, before + cost - next.least)) continue;
      for (const from of froms)
        jump(onset, note, j, cost, (to, meant) => next.take(to, from.cost + cost, { from, meant }));
    }
  }
  return next.all();
}

/**
 * Whether a reading that jumps to an onset can be let go at once: it costs so much more than the cheapest that the next key
 * must be a right one, and it is not.
 */
function isLostNext({ onsets, keys }: Reader, onset: number, j: number, dearer: number): boolean {
  const [here, next] = [onsets[onset]!, onsets[onset + 1]];
  if (j + 1 >= keys.length || here.notes.length > 1 || (next && next.notes.length > 1)) return false;
  return dearer + READING.extra >= READING.jump - EQUAL && next?.notes[0]!.key !== keys[j + 1]!.key;
}

/** The standings after a key that can still win. */
class Kept {
  least = Infinity;
  private readonly byOnset = new Map<number, Reached[]>();

  constructor(private readonly onsets: readonly OnsetExpected[]) {}

  /** What a way on may cost from a standing that has cost so much. */
  roomFrom(cost: number): Room {
    const most = this.least + READING.jump - cost;
    return { closed: most - 2 * EQUAL, open: most + SLACK };
  }

  take(to: Standing, cost: number, step: Step): void {
    if (cost > this.mostOf(to)) return;
    this.least = Math.min(this.least, cost);
    const beside = this.byOnset.get(to.onset);
    const known = beside?.find(({ standing }) => isSame(standing, to));
    if (!known) {
      const reached = { standing: to, cost, by: [step] };
      if (beside) beside.push(reached);
      else this.byOnset.set(to.onset, [reached]);
    } else if (cost < known.cost - EQUAL) {
      known.cost = cost;
      known.by = [step];
    } else if (cost <= known.cost + EQUAL) known.by.push(step);
  }

  all(): readonly Reached[] {
    const kept: Reached[] = [];
    for (const beside of this.byOnset.values())
      for (const reached of beside) if (reached.cost <= this.mostOf(reached.standing)) kept.push(reached);
    return kept.sort((a, b) => a.cost - b.cost);
  }

  private mostOf(standing: Standing): number {
    const { closed, open } = this.roomFrom(0);
    return isOpen(this.onsets, standing) ? open : closed;
  }
}

function isSame(a: Standing, b: Standing): boolean {
  return (
    a.struck === b.struck &&
    a.owed === b.owed &&
    a.since === b.since &&
    a.begins === b.begins &&
    a.isRight === b.isRight
  );
}

/** Of standings in order of what they cost. */
function cheapest(reached: readonly Reached[]): number {
  return reached[0]!.cost;
}

/** Walks every cheapest way back from its end: the first one is told, and where others differ is doubtful. */
function readBack(ends: readonly Reached[], keys: number): Pick<Aligned, "meant" | "doubtful"> {
  const meant = new Array<Meant>(keys);
  const doubtful: number[] = [];
  let layer: ReadonlySet<Reached> = new Set(ends);
  let told = ends[0]!;
  for (let j = keys - 1; j >= 0; j--) {
    const [step] = told.by;
    const { onset, note } = (meant[j] = step!.meant);
    told = step!.from;
    const steps = [...layer].flatMap(({ by }) => by);
    if (steps.some(({ meant: other }) => other.onset !== onset || other.note !== note)) doubtful.push(j);
    layer = new Set(steps.map(({ from }) => from));
  }
  return { meant, doubtful: doubtful.reverse() };
}

/** Places in the music that ask for each key. */
function placesByKey(onsets: readonly OnsetExpected[]): ReadonlyMap<number, readonly (readonly [number, number])[]> {
  const places = new Map<number, (readonly [number, number])[]>();
  onsets.forEach(({ notes }, onset) =>
    notes.forEach(({ key }, note) => {
      const known = places.get(key);
      if (known) known.push([onset, note]);
      else places.set(key, [[onset, note]]);
    }),
  );
  return places;
}
