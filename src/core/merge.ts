/**
 * Values changed in two windows at once, put together: what one window changed from where it began counts, and everything
 * else stays as the other left it. Everywhere `before` is where this window began, `mine` what it has made of it, and
 * `theirs` what stands by now. Where both changed the same thing, mine counts. Nothing is changed in place.
 */

/** A value that is one thing: a choice, a number, a sentence. */
export function mergedValue<T>(before: T, mine: T, theirs: T): T {
  return isSame(before, mine) ? theirs : mine;
}

/** Things under names, each a value of its own: those taken away by one window are gone, those added stay. */
export function mergedRecord<T>(
  before: Readonly<Record<string, T>>,
  mine: Readonly<Record<string, T>>,
  theirs: Readonly<Record<string, T>>,
): Readonly<Record<string, T>> {
  const kept = Object.entries(theirs).filter(([name]) => name in mine || !(name in before));
  const changed = Object.entries(mine).filter(([name, value]) => !isSame(value, before[name]));
  return Object.fromEntries([...kept, ...changed]);
}

/** Things that have no name but what they say: those of theirs first, in their order. */
export function mergedList<T>(before: readonly T[], mine: readonly T[], theirs: readonly T[]): readonly T[] {
  const has = (list: readonly T[], one: T): boolean => list.some((other) => isSame(one, other));
  const kept = theirs.filter((each) => has(mine, each) || !has(before, each));
  return [...kept, ...mine.filter((each) => !has(before, each) && !has(kept, each))];
}

/** Whether two values that JSON can say are the same; the order of names in a record counts for nothing. */
export function isSame(a: unknown, b: unknown): boolean {
  return JSON.stringify(a, inOrder) === JSON.stringify(b, inOrder);
}

function inOrder(_: string, value: unknown): unknown {
  if (typeof value !== "object" || value === null || Array.isArray(value)) return value;
  return Object.fromEntries(Object.entries(value).sort(([one], [other]) => (one < other ? -1 : 1)));
}
