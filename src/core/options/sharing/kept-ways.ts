/** Ways that may stand beside those kept before the dearest are let go: memory stays bounded within a moment. A choice. */
const ROOM = 3;

/** The cheapest ways to come to each of many ends, and no more than a number of them. */
export class KeptWays<Way extends { readonly total: number }> {
  /** What a way must cost less than to be among those kept: without limit until one was let go. */
  limit = Infinity;
  private readonly byEnd = new Map<number, Way>();

  /** `most`: ways kept in the end. */
  constructor(private readonly most: number) {}

  /** Whether nothing was let go: then every end has its cheapest way. */
  get isWhole(): boolean {
    return this.limit === Infinity;
  }

  /** Keeps a way if it is the cheapest to its end so far and below the limit. */
  offer(end: number, way: Way): void {
    if (way.total >= this.limit) return;
    const known = this.byEnd.get(end);
    if (known !== undefined && known.total <= way.total) return;
    this.byEnd.set(end, way);
    if (this.byEnd.size > ROOM * this.most) this.letGo();
  }

  /** The ways kept, from the cheapest on. */
  ways(): readonly Way[] {
    if (this.byEnd.size > this.most) this.letGo();
    return [...this.byEnd.values()].sort((a, b) => a.total - b.total);
  }

  /** Lets the dearest go; of equal ones those that came last. */
  private letGo(): void {
    const totals = Float64Array.from(this.byEnd.values(), ({ total }) => total).sort();
    this.limit = totals[this.most - 1]!;
    let room = this.most - totals.indexOf(this.limit);
    for (const [end, { total }] of this.byEnd)
      if (total > this.limit || (total === this.limit && room-- <= 0)) this.byEnd.delete(end);
  }
}
