/** A key signature in words. @param fifths sharps positive, flats negative */
export function signatureText(fifths: number): string {
  if (fifths === 0) return "no sharps or flats";
  const count = Math.abs(fifths);
  const sign = fifths > 0 ? "sharp" : "flat";
  return `${count} ${sign}${count === 1 ? "" : "s"}`;
}
