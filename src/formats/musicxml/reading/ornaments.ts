import { childrenOf, type Element } from "../../xml/tree";

/** Signs that stand for more notes than are written, as a player calls them. */
const ORNAMENTS: ReadonlyMap<string, string> = new Map([
  ["trill-mark", "trill"],
  ["wavy-line", "trill"],
  ["shake", "trill"],
  ["turn", "turn"],
  ["inverted-turn", "turn"],
  ["delayed-turn", "turn"],
  ["delayed-inverted-turn", "turn"],
  ["vertical-turn", "turn"],
  ["inverted-vertical-turn", "turn"],
  ["mordent", "mordent"],
  ["inverted-mordent", "mordent"],
  ["haydn", "turn"],
  ["schleifer", "slide"],
  ["tremolo", "tremolo"],
]);

/** The ornaments that a note carries, each named once. */
export function ornamentsOf(note: Element): readonly string[] {
  const signs = childrenOf(note, "notations")
    .flatMap((notations) => childrenOf(notations, "ornaments"))
    .flatMap(({ children }) => children.map(({ name }) => ORNAMENTS.get(name) ?? null));
  return [...new Set(signs.filter((name) => name !== null))];
}

/** How a note of a chord is marked to be rolled; null where it is not. */
export function rollOf(note: Element): { readonly direction: "up" | "down"; readonly number: string } | null {
  for (const notations of childrenOf(note, "notations")) {
    const [mark] = childrenOf(notations, "arpeggiate");
    if (mark)
      return {
        direction: mark.attributes["direction"] === "down" ? "down" : "up",
        number: mark.attributes["number"] ?? "",
      };
  }
  return null;
}
