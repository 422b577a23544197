/** A set of places of onsets: in order, and moved on together at no cost. Never changed; what is made of it is another. */
export class Places {
  private constructor(
    private readonly sorted: readonly number[],
    private readonly shift: number,
  ) {}

  /** Sets of one place, which nearly all are: each made once. */
  private static readonly ones: Places[] = [];

  /** @param place of an onset; -1 before the first */
  static one(place: number): Places {
    return (Places.ones[place + 1] ??= new Places([place], 0));
  }

  /** @param sorted each once, in order */
  static of(sorted: readonly number[]): Places {
    return sorted.length === 1 ? Places.one(sorted[0]!) : new Places(sorted, 0);
  }

  get size(): number {
    return this.sorted.length;
  }

  get first(): number {
    return this.sorted[0]! + this.shift;
  }

  private get last(): number {
    return this.sorted[this.size - 1]! + this.shift;
  }

  has(place: number): boolean {
    if (this.size === 1) return this.first === place;
    const at = this.lowerBound(place);
    return at < this.size && this.sorted[at]! + this.shift === place;
  }

  /** Every place as many onsets on. */
  moved(onsets: number): Places {
    if (onsets === 0) return this;
    return this.size === 1 ? Places.one(this.first + onsets) : new Places(this.sorted, this.shift + onsets);
  }

  isSame(other: Places): boolean {
    return this === other || (this.sorted === other.sorted && this.shift === other.shift);
  }

  /** Whether they have no place in common. */
  isApart(other: Places): boolean {
    if (this.size === 0 || other.size === 0 || this.last < other.first || other.last < this.first) return true;
    if (this.size === 1 && other.size === 1) return this !== other;
    const few = this.size < other.size ? this : other;
    const many = few === this ? other : this;
    return !few.sorted.some((place) => many.has(place + few.shift));
  }

  /** Those that are in the other as well. */
  within(other: Places): Places {
    return this.isSame(other) ? this : this.sifted(other, true);
  }

  without(other: Places): Places {
    return this.isApart(other) ? this : this.sifted(other, false);
  }

  with(other: Places): Places {
    if (this.isSame(other)) return this;
    const all: number[] = [];
    let at = 0;
    this.forEach((place) => {
      for (; at < other.size && other.sorted[at]! + other.shift < place; at++)
        all.push(other.sorted[at]! + other.shift);
      if (at < other.size && other.sorted[at]! + other.shift === place) at++;
      all.push(place);
    });
    for (; at < other.size; at++) all.push(other.sorted[at]! + other.shift);
    return all.length === this.size ? this : Places.of(all);
  }

  forEach(take: (place: number) => void): void {
    for (const place of this.sorted) take(place + this.shift);
  }

  private sifted(other: Places, isWantedInBoth: boolean): Places {
    const sifted: number[] = [];
    let at = this.size === 0 ? 0 : other.lowerBound(this.first);
    for (const own of this.sorted) {
      const place = own + this.shift;
      while (at < other.size && other.sorted[at]! + other.shift < place) at++;
      const isInBoth = at < other.size && other.sorted[at]! + other.shift === place;
      if (isInBoth === isWantedInBoth) sifted.push(place);
    }
    return sifted.length === this.size ? this : Places.of(sifted);
  }

  /** How many lie before a place. */
  private lowerBound(place: number): number {
    let low = 0;
    let high = this.size;
    while (low < high) {
      const middle = (low + high) >> 1;
      if (this.sorted[middle]! + this.shift < place) low = middle + 1;
      else high = middle;
    }
    return low;
  }
}
