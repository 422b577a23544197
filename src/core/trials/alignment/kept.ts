import { READING } from "../../physics";
import { AHEAD } from "./music";
import { gainsLess, type Reader, type Standing } from "./moves";
import { atFirst, EQUAL, type Reached, type Step } from "./reached";

/** So many of the cheapest is each held against, to be let go: what others would outdo may stay, it cannot win. A choice, for speed. */
const HELD_AGAINST = 8;

type Growing = { -readonly [P in keyof Reached]: Reached[P] } & { by: Step[] };

/** The standings after a key that can still win: none that costs more than the cheapest and a jump, which leads anywhere. */
export class Kept {
  least = Infinity;
  private readonly byMusic = new Map<number, Growing[]>();

  constructor(
    private readonly reader: Reader,
    private readonly music: ArrayLike<number>,
  ) {}

  /** What a way on may cost from a standing that has cost so much. */
  roomFrom(cost: number): number {
    return this.least + READING.jump - cost - 2 * EQUAL;
  }

  /** Whether what was reached at a cost can still win, as far as is known. */
  isWanted(cost: number): boolean {
    return this.roomFrom(cost) >= 0;
  }

  /** Takes a way to a standing that is wanted, at each of its step's places unless that was reached for less. */
  take(standing: Standing, cost: number, step: Step, ahead: number): void {
    this.least = Math.min(this.least, cost);
    const beside = this.besides(standing);
    let places = step.places;
    let equal: Growing | undefined;
    for (const known of beside) {
      if (!this.isSame(known.standing, standing)) continue;
      if (known.cost < cost - EQUAL) places = places.without(known.places);
      else if (known.cost <= cost + EQUAL) equal ??= known;
      else known.places = known.places.without(places);
    }
    if (places.size === 0) return;
    if (!equal) beside.push({ standing, places, cost, by: [step], ahead });
    else {
      equal.by.push(step);
      if (equal.places.isSame(places)) return;
      equal.places = equal.places.with(places);
      equal.ahead = Math.min(equal.ahead, ahead, AHEAD - 1);
    }
  }

  /** All that can still win, the cheapest of them first. */
  all(): readonly Reached[] {
    const kept: Reached[] = [];
    let cheapest = 0;
    for (const beside of this.byMusic.values()) {
      if (beside.length > 1) beside.sort((a, b) => a.cost - b.cost);
      for (let i = 0; i < beside.length; i++) {
        const reached = beside[i]!;
        if (!this.isWanted(reached.cost)) break;
        if (i > 0) this.letGo(reached, beside, i);
        if (reached.places.size === 0) continue;
        if (kept.length > 0 && reached.cost < kept[cheapest]!.cost) cheapest = kept.length;
        kept.push(atFirst(reached));
      }
    }
    const first = kept[cheapest]!;
    kept[cheapest] = kept[0]!;
    kept[0] = first;
    return kept;
  }

  /** Lets go the places at which a standing cannot win, because a cheaper one was reached there too, whatever comes. */
  private letGo(reached: Growing, beside: readonly Growing[], most: number): void {
    for (let i = 0; i < Math.min(most, HELD_AGAINST) && reached.places.size > 0; i++) {
      const { standing, cost, places } = beside[i]!;
      const spare = reached.cost - cost - EQUAL;
      if (spare <= 0) return;
      if (gainsLess(this.reader.onsets, spare, reached.standing, standing))
        reached.places = reached.places.without(places);
    }
  }

  /** Those with the same music ahead. */
  private besides({ onset }: Standing): Growing[] {
    const music = onset < 0 ? -1 : this.music[onset]!;
    const known = this.byMusic.get(music);
    if (known) return known;
    const fresh: Growing[] = [];
    this.byMusic.set(music, fresh);
    return fresh;
  }

  /** Whether two with the same music ahead stand the same; what is owed is of the onset before. */
  private isSame(a: Standing, b: Standing): boolean {
    return (
      a.struck === b.struck &&
      a.owed === b.owed &&
      a.since === b.since &&
      a.begins === b.begins &&
      a.isRight === b.isRight &&
      (a.owed === 0 || this.music[a.onset - 1] === this.music[b.onset - 1])
    );
  }
}
