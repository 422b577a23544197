import { ornamentsOf } from "./ornaments";
import { child, childrenOf, textOf, type Element } from "../../xml/tree";
import { LIMITS } from "./limits";
import { wholeIn } from "./numbers";

/** How a note is to sound, as marked. */
export interface Character {
  /** 0 as soft as can be to 1 as loud as can be; not there where nothing is marked. */
  readonly loudness?: number;
  readonly accent?: boolean;
  readonly staccato?: boolean;
  /** Whether a slur begins on it. */
  readonly slurBegins?: boolean;
  readonly ornamented?: boolean;
}

/** Loudness of the usual marks. A choice: even steps about the middle. */
const LOUDNESS: ReadonlyMap<string, number> = new Map([
  ["pppp", 0.05],
  ["ppp", 0.1],
  ["pp", 0.2],
  ["p", 0.3],
  ["mp", 0.4],
  ["mf", 0.6],
  ["f", 0.7],
  ["ff", 0.8],
  ["fff", 0.9],
  ["ffff", 0.95],
]);

const ACCENTS = ["accent", "strong-accent"];
const STACCATO = ["staccato", "staccatissimo", "spiccato"];

/** Keeps the loudness that a direction marks, for its staff; 0 where it names none. Hairpins are left as written. */
export function readDynamics(direction: Element, { loudness }: { readonly loudness: Map<number, number> }): void {
  for (const type of childrenOf(direction, "direction-type")) {
    const marked = child(type, "dynamics")?.children.flatMap(({ name }) => LOUDNESS.get(name) ?? [])[0];
    if (marked === undefined) continue;
    const staff = wholeIn(textOf(direction, "staff"), LIMITS.staves) ?? 0;
    if (staff === 0) loudness.clear();
    loudness.set(staff, marked);
  }
}

/** @param loudness what is marked last before the note */
export function characterOf(note: Element, loudness: number | undefined): Character {
  const marks = childrenOf(note, "notations")
    .flatMap((notations) => childrenOf(notations, "articulations"))
    .flatMap(({ children }) => children.map(({ name }) => name));
  return {
    ...(loudness === undefined ? {} : { loudness }),
    ...(marks.some((m) => ACCENTS.includes(m)) ? { accent: true } : {}),
    ...(marks.some((m) => STACCATO.includes(m)) ? { staccato: true } : {}),
    ...(beginsSlur(note) ? { slurBegins: true } : {}),
    ...(ornamentsOf(note).length > 0 ? { ornamented: true } : {}),
  };
}

function beginsSlur(note: Element): boolean {
  return childrenOf(note, "notations").some((notations) =>
    childrenOf(notations, "slur").some(({ attributes }) => attributes["type"] === "start"),
  );
}
