import type { NoteId } from "@/core/passage/note";
import type { Note } from "@/core/passage/note";
import type { Fingering, Pins } from "@/core/fingering/study/fingering";
import type { LinePlaces } from "../engraving/places";

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
  /** Fingers that a remedy would give notes which have none as written. */
  readonly suggested?: Readonly<Record<NoteId, number>>;
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
  /** Whether it is a remedy's, which is not chosen yet. */
  readonly suggested: boolean;
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
    const reach = size * (1 + (group.length * layers.length - 1));
    const edge = above
      ? overSigns(places, {
          x,
          size,
          reach,
          edge: Math.min(...spots.map((s) => s.top), staff?.top ?? Infinity) - CLEAR,
        })
      : underSigns(places, {
          x,
          size,
          reach,
          edge: Math.max(...spots.map((s) => s.bottom), staff?.bottom ?? -Infinity) + CLEAR + size * DIGIT_HEIGHT,
        });
    const outward = above ? group : [...group].reverse();
    layers.forEach((layer, depth) => {
      const { name, fingering, pins, marked, printed, changed, suggested, written } = layer;
      outward.forEach((note, order) => {
        if (!(note.id in fingering) || written?.has(note.id) === false) return;
        const step = depth * (group.length * size + 3) + order * size;
        placed.push({
          note: note.id,
          layer: name,
          text: String(fingering[note.id] ?? suggested?.[note.id] ?? "–"),
          x,
          y: above ? edge - step : edge + step,
          size,
          pinned: note.id in pins,
          marked: marked.has(note.id),
          printed: printed?.has(note.id) ?? false,
          changed: changed?.has(note.id) ?? false,
          suggested: !fingering[note.id] && suggested !== undefined && note.id in suggested,
        });
      });
    });
  }
  return placed;
}

/** A stack of digits as it would stand: where it begins, and how far it goes outwards. All in px. */
interface StackAt {
  readonly x: number;
  readonly size: number;
  readonly reach: number;
  readonly edge: number;
}

/** px between a digit and a sign that it goes past. */
const PAST = 2;

/** The edge from which digits stack upwards, over whatever stands in their way: the nearest is passed first. */
function overSigns({ signs = [] }: LinePlaces, { x, size, reach, edge: from }: StackAt): number {
  let edge = from;
  const near = signs.filter((sign) => isNear(sign, x, size)).sort((a, b) => b.bottom - a.bottom);
  for (const { top, bottom } of near) if (edge > top && edge - reach < bottom) edge = top - PAST;
  return edge;
}

/** The same downwards; the edge is the line that the first digit stands on. */
function underSigns({ signs = [] }: LinePlaces, { x, size, reach, edge: from }: StackAt): number {
  let edge = from;
  const near = signs.filter((sign) => isNear(sign, x, size)).sort((a, b) => a.top - b.top);
  for (const { top, bottom } of near)
    if (edge - size * DIGIT_HEIGHT < bottom && edge - size * DIGIT_HEIGHT + reach > top)
      edge = bottom + PAST + size * DIGIT_HEIGHT;
  return edge;
}

function isNear({ left, right }: { readonly left: number; readonly right: number }, x: number, size: number): boolean {
  const half = size * DIGIT_WIDTH;
  return x + half > left && x - half < right;
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
