/** A whole number from 1 to a limit, as a text says it; null for anything else. */
export function wholeIn(text: string | null, most: number): number | null {
  if (text === null || !/^\d{1,9}$/.test(text)) return null;
  const value = Number(text);
  return value >= 1 && value <= most ? value : null;
}

/** A finite number within limits, as a text says it; null for anything else. */
export function finiteIn(text: string | null | undefined, [least, most]: readonly [number, number]): number | null {
  if (text === null || text === undefined || text.trim() === "") return null;
  const value = Number(text);
  return Number.isFinite(value) && value >= least && value <= most ? value : null;
}
