import { spelledName } from "../passage/note";
import { keyOf, stepOfWritten } from "../entry/spelling";
import type { WrittenPitch } from "../entry/spelling";
import { add, compare, subtract, type Beats } from "../time/beats";
import type { BarHeard } from "./bars";
import type { DoubtKind } from "./choices";
import type { KeyCounted } from "./counted";
import type { Measured } from "./lengths";
import type { Spelled } from "./spelling";
import type { Doubt, Guessed, NoteHeard } from "./transcript";

/** What was found for each key of the file, with what it could have been. */
export interface Readings {
  readonly places: readonly KeyCounted[];
  readonly lengths: readonly Measured[];
  /** By key. */
  readonly spelled: ReadonlyMap<number, Spelled>;
  /** Whether the player has turned a doubt about a key. */
  readonly isTurned: (doubt: DoubtKind, key: number) => boolean;
}

/** Everything that could as well be otherwise, in the order of the music. */
export function doubtsOf(
  notes: readonly NoteHeard[],
  bars: readonly BarHeard[],
  { places, lengths, spelled, isTurned }: Readings,
  hands: Guessed["hands"],
): readonly Doubt[] {
  const centres = centresOf(notes);
  return notes.flatMap((note, i): readonly Doubt[] => {
    const bar = bars.findLast(({ start }) => compare(start, note.at) <= 0) ?? bars[0]!;
    const beat = subtract(note.at, bar.start);
    const where = { pitch: note.key, at: note.at, bar: bar.number, beat };
    const common = { key: note.index, ...where, name: nameOf(note.pitch) };
    const found: Doubt[] = [];
    const place = places[note.index]!;
    if (place.otherwise !== null && note.grace === 0) {
      const other = place.otherwise === note.at ? place.at : place.otherwise;
      found.push({ ...common, doubt: "place", now: placeText(beat), otherwise: placeText(subtract(other, bar.start)) });
    }
    const length = lengths[note.index]!;
    if (length.otherwise !== null) {
      const other = length.otherwise === note.length ? length.length : length.otherwise;
      found.push({ ...common, doubt: "length", now: lengthText(note.length), otherwise: lengthText(other) });
    }
    const spelling = spelled.get(note.index);
    if (spelling && spelling.otherwise !== null) {
      const isOther = nameOf(spelling.otherwise) === common.name;
      found.push({
        ...common,
        doubt: "spelling",
        now: common.name,
        otherwise: nameOf(isOther ? spelling.pitch : spelling.otherwise),
      });
    }
    // What was turned can be turned back, though it lies where its hand is by now.
    const isHandDoubtful = isTurned("hand", note.index) || isBetween(note, centres[i]!);
    if (hands === "cost" && note.grace === 0 && isHandDoubtful)
      found.push({
        ...common,
        doubt: "hand",
        now: `${note.side} hand`,
        otherwise: `${note.side === "right" ? "left" : "right"} hand`,
      });
    return found;
  });
}

interface Centres {
  readonly right: number | null;
  readonly left: number | null;
}

/** Where each hand is at each note: the middle of the last keys that it played. */
function centresOf(notes: readonly NoteHeard[]): readonly Centres[] {
  const last: { right: number[]; left: number[] } = { right: [], left: [] };
  return notes.map(({ side, key }) => {
    const found = { right: meanOf(last.right), left: meanOf(last.left) };
    last[side] = [...last[side], key].slice(-KEYS_OF_A_HAND);
    return found;
  });
}

const KEYS_OF_A_HAND = 4;

function meanOf(keys: readonly number[]): number | null {
  return keys.length === 0 ? null : keys.reduce((sum, key) => sum + key, 0) / keys.length;
}

/** Whether a key lies nearer to where the other hand is than to its own. */
function isBetween({ key, side }: NoteHeard, centres: Centres): boolean {
  const [own, other] = [centres[side], centres[side === "right" ? "left" : "right"]];
  return own !== null && other !== null && Math.abs(key - other) < Math.abs(key - own);
}

function nameOf(pitch: WrittenPitch): string {
  return spelledName({ pitch: keyOf(pitch) as never, step: stepOfWritten(pitch) });
}

function placeText(beat: Beats): string {
  return `beat ${add(beat, "1" as Beats)}`;
}

function lengthText(length: Beats): string {
  return `${length} ${length === "1" ? "quarter" : "quarters"}`;
}
