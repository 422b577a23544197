/** "bars 3–6", or "bar 3" for one; as numbered on paper. */
export function barsText({ from, to }: { readonly from: string; readonly to: string }): string {
  return from === to ? `bar ${from}` : `bars ${from}–${to}`;
}
