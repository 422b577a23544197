/** The letter an option goes by: A to Z, then A2, B2 and so on. */
export function optionName(place: number): string {
  const letter = String.fromCharCode(65 + (place % 26));
  return place < 26 ? letter : `${letter}${Math.floor(place / 26) + 1}`;
}
