/** The greatest difference between two lists of one length; Infinity for others. */
export function mostApart(a: ArrayLike<number>, b: ArrayLike<number>): number {
  if (a.length !== b.length) return Infinity;
  return Array.from(a).reduce((most, value, i) => Math.max(most, Math.abs(value - b[i]!)), 0);
}
