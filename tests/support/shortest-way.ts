/**
 * Length of the shortest way along a line that is in every stretch in turn, beginning and ending where it likes: it
 * stays where it is until a stretch lies elsewhere, and goes only to its nearest end.
 */
export function shortestWay(stretches: readonly { readonly least: number; readonly most: number }[]): number {
  let [least, most, length] = [-Infinity, Infinity, 0];
  for (const stretch of stretches) {
    const gap = Math.max(stretch.least - most, least - stretch.most, 0);
    length += gap;
    if (gap === 0) [least, most] = [Math.max(least, stretch.least), Math.min(most, stretch.most)];
    else least = most = stretch.least > most ? stretch.least : stretch.most;
  }
  return length;
}
