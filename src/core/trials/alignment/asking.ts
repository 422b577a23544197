import { READING } from "../../physics";
import { keysOfOrnament, type OnsetExpected } from "../expected";
import { Places } from "./places";

/** Onsets that a reading may look ahead at with one key: to the next, and past as many as it may miss for less than a jump. */
export const REACH = Math.floor(READING.jump / READING.missed) + 1;

/** The places with the same music ahead that ask for a key with the same note of their onset. */
export interface Asking {
  readonly note: number;
  readonly places: Places;
  /** Whether a chord comes so soon that the next key may leave a reading in the middle of one. */
  readonly isByChord: boolean;
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

  of(key: number): AskingForKey {
    const known = this.found.get(key);
    if (known) return known;
    const all = this.allFor(key);
    const byNext = new Map<number, Asking[]>();
    for (const asking of all)
      for (const next of readCheaply(this.onsets, asking.places.first, asking.note)) put(byNext, next, []).push(asking);
    return put(this.found, key, { all, byNext });
  }

  private allFor(key: number): readonly Asking[] {
    const same = new Map<string, [note: number, places: number[]]>();
    this.onsets.forEach(({ notes }, onset) =>
      notes.forEach((asked, note) => {
        if (asked.key === key) put(same, `${this.ahead[onset]}/${note}`, [note, []])[1].push(onset);
      }),
    );
    return [...same.values()].map(([note, places]) => {
      const soon = this.onsets.slice(places[0]!, places[0]! + REACH + 1);
      return { note, places: Places.of(places), isByChord: soon.some(({ notes }) => notes.length > 1) };
    });
  }
}

/**
 * The keys that cost less than one that nothing asks for, right after a note with which a reading begins: those of its own
 * onset, of its ornament, of the next onset, and of the one after it where that leaves out one note only.
 */
function readCheaply(onsets: readonly OnsetExpected[], onset: number, note: number): ReadonlySet<number> {
  const [here, next, second] = [onsets[onset]!, onsets[onset + 1], onsets[onset + 2]];
  const beside = here.notes.filter((_, other) => other !== note);
  const after = [...(next?.notes ?? []), ...((next?.notes.length === 1 && second?.notes) || [])];
  return new Set([...[...beside, ...after].map(({ key }) => key as number), ...keysOfOrnament(here)]);
}

/** What a map has under a key, which is put there where there is nothing yet. */
function put<K, V>(map: Map<K, V>, key: K, otherwise: V): V {
  const known = map.get(key) ?? otherwise;
  map.set(key, known);
  return known;
}
