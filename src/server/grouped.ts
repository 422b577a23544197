/** Rows by the passage they belong to, in the order they came. */
export function grouped<T extends { readonly passageId: string }>(
  rows: readonly T[],
): ReadonlyMap<string, readonly T[]> {
  const groups = new Map<string, T[]>();
  for (const row of rows) {
    const known = groups.get(row.passageId);
    if (known) known.push(row);
    else groups.set(row.passageId, [row]);
  }
  return groups;
}
