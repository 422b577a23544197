import type { NoteId } from "@/core/passage/note";
import type { Note } from "@/core/passage/note";
import type { Fingering, Pins } from "@/core/fingering/fingering";
import type { LinePlaces } from "./places";

/** One fingering's digits as they are to stand on the score. */
export interface DigitLayer {
  readonly name: string;
  readonly fingering: Fingering;
  readonly pins: Pins;
  /** Notes whose digit is marked as differing. */
  readonly marked: ReadonlySet<NoteId>;
  /** Notes whose digit is the one that came with the score; none where not said. */
  readonly printed?: ReadonlySet<NoteId>;
  /** Notes whose digit is another than when the option was made. */
  readonly changed?: ReadonlySet<NoteId>;
  /** Notes whose digit is written; all where not said. */
  readonly written?: ReadonlySet<NoteId>;
}

export interface DigitPlaced {
  readonly note: NoteId;
  readonly layer: string;
  readonly text: string;
  readonly x: number;
  readonly y: number;
  /** px. */
  readonly size: number;
  readonly pinned: boolean;
  readonly marked: boolean;
  readonly printed: boolean;
  readonly changed: boolean;
}

/** px a digit takes up at full size, and px between it and the ink below or above. */
export const DIGIT_SIZE = 15;
const CLEAR = 5;
/** How high a digit's ink stands over its line, as a share of its size. */
export const DIGIT_HEIGHT = 0.72;
/** Half a digit's width with the room it needs, as a share of its size. */
const DIGIT_WIDTH = 0.4;

/**
 * Places digits: over the notes of the upper staff, under those of the lower; where a staff has several
 * voices, on the side of the stems. Digits of a chord stack in the order of its notes, and a second layer
 * stacks outside the first.
 * @param zoom the size of the engraving, 1 for its usual one; digits grow with it
 */
export function placeDigits(
  places: LinePlaces,
  notes: readonly Note[],
  layers: readonly DigitLayer[],
  zoom = 1,
): readonly DigitPlaced[] {
  const size = DIGIT_SIZE * zoom;
  const placed: DigitPlaced[] = [];
  for (const { group, above } of stacks(places, notes)) {
    const spots = group.map((n) => places.notes.get(n.id)!);
    const x = spots.reduce((sum, s) => sum + s.x, 0) / spots.length;
    const staff = places.staves[Math.min(group[0]!.staff, places.staves.length) - 1];
    const edge = above
      ? overNumbers(places, { x, size, edge: Math.min(...spots.map((s) => s.top), staff?.top ?? Infinity) - CLEAR })
      : Math.max(...spots.map((s) => s.bottom), staff?.bottom ?? -Infinity) + CLEAR + size * DIGIT_HEIGHT;
    const outward = above ? group : [...group].reverse();
    layers.forEach((layer, depth) => {
      const { name, fingering, pins, marked, printed, changed, written } = layer;
      outward.forEach((note, order) => {
        if (!(note.id in fingering) || written?.has(note.id) === false) return;
        const step = depth * (group.length * size + 3) + order * size;
        placed.push({
          note: note.id,
          layer: name,
          text: String(fingering[note.id] ?? "–"),
          x,
          y: above ? edge - step : edge + step,
          size,
          pinned: note.id in pins,
          marked: marked.has(note.id),
          printed: printed?.has(note.id) ?? false,
          changed: changed?.has(note.id) ?? false,
        });
      });
    });
  }
  return placed;
}

/** The edge from which digits stack upwards, over a bar number that stands in their way. */
function overNumbers(
  { barNumbers = [] }: LinePlaces,
  { x, size, edge }: { readonly x: number; readonly size: number; readonly edge: number },
): number {
  const half = size * DIGIT_WIDTH;
  const inTheWay = barNumbers.filter(
    ({ left, right, top, bottom }) => x + half > left && x - half < right && edge > top && edge - size < bottom,
  );
  return Math.min(edge, ...inTheWay.map(({ top }) => top - 2));
}

interface Stack {
  /** Lowest note first. */
  readonly group: readonly Note[];
  readonly above: boolean;
}

/** Notes whose digits stack together: one onset, one staff, one side. */
function stacks(places: LinePlaces, notes: readonly Note[]): readonly Stack[] {
  const shown = notes.filter((n) => places.notes.has(n.id));
  const voices = new Map<number, Set<string>>();
  for (const n of shown) voices.set(n.staff, (voices.get(n.staff) ?? new Set()).add(n.voice));
  const found = new Map<string, { group: Note[]; above: boolean }>();
  for (const n of shown) {
    const stemUp = places.notes.get(n.id)!.stemUp;
    const above = (voices.get(n.staff)?.size ?? 1) > 1 && stemUp !== null ? stemUp : n.staff === 1;
    const key = `${n.staff} ${n.onset} ${n.grace} ${above}`;
    const stack = found.get(key) ?? { group: [], above };
    stack.group.push(n);
    found.set(key, stack);
  }
  return [...found.values()].map(({ group, above }) => ({ group: group.sort((a, b) => a.pitch - b.pitch), above }));
}
