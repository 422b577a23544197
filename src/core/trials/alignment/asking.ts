import type { Pitch } from "../../keyboard/pitch";
import { READING } from "../../physics";
import { isOfOrnament, keysOfOrnament, type OnsetExpected } from "../expected";
import { Places } from "./places";

/** Onsets that a reading may look ahead at with one key: to the next, and past as many as it may miss for less than a jump. */
export const REACH = Math.floor(READING.jump / READING.missed) + 1;

/** The places with the same music ahead that ask for a key with the same note of their onset, or with its ornament. */
export interface Asking {
  /** Place of the note in its onset; -1 for the ornament. */
  readonly note: number;
  readonly places: Places;
}

/** All that ask for one key. */
export interface AskingForKey {
  readonly all: readonly Asking[];
  /** By the key that comes next: those among them that read it for less than what a key costs that nothing asks for. */
  readonly byNext: ReadonlyMap<number, readonly Asking[]>;
}

/** Where the music asks for which key; looked up when it is first wanted, for most keys never are. */
export class AskingByKey {
  private readonly found = new Map<number, AskingForKey>();

  /** @param ahead a number for each onset: the same for those with the same music ahead */
  constructor(
    private readonly onsets: readonly OnsetExpected[],
    private readonly ahead: ArrayLike<number>,
  ) {}

  of(key: Pitch): AskingForKey {
    const known = this.found.get(key);
    if (known) return known;
    const all = this.allFor(key);
    const byNext = new Map<number, Asking[]>();
    for (const asking of all)
      eachReadCheaply(this.onsets, asking.places.first, asking.note, (next) => {
        const known = put(byNext, next, []);
        if (known.at(-1) !== asking) known.push(asking);
      });
    return put(this.found, key, { all, byNext });
  }

  private allFor(key: Pitch): readonly Asking[] {
    const same = new Map<string, [note: number, places: number[]]>();
    const asks = (onset: number, note: number): void =>
      void put(same, `${this.ahead[onset]}/${note}`, [note, []])[1].push(onset);
    this.onsets.forEach((here, onset) => {
      here.notes.forEach((asked, note) => asked.key === key && asks(onset, note));
      if (isOfOrnament(here, key)) asks(onset, -1);
    });
    return [...same.values()].map(([note, places]) => ({ note, places: Places.of(places) }));
  }
}

/**
 * The keys that cost less than one that nothing asks for, right after a note with which a reading begins: those of its own
 * onset, of its ornament, of the next onset, and of the one after it where that leaves out one note only.
 */
function eachReadCheaply(
  onsets: readonly OnsetExpected[],
  onset: number,
  note: number,
  take: (key: number) => void,
): void {
  const [here, next, second] = [onsets[onset]!, onsets[onset + 1], onsets[onset + 2]];
  here.notes.forEach(({ key }, other) => other !== note && take(key));
  next?.notes.forEach(({ key }) => take(key));
  if (next?.notes.length === 1) second?.notes.forEach(({ key }) => take(key));
  for (const key of keysOfOrnament(here)) take(key);
}

/** What a map has under a key, which is put there where there is nothing yet. */
function put<K, V>(map: Map<K, V>, key: K, otherwise: V): V {
  const known = map.get(key) ?? otherwise;
  map.set(key, known);
  return known;
}
