import type { Finger } from "../../hand/finger";
import type { NoteId } from "../../passage/note";
import { FIGURE } from "../../physics";
import type { Conditions, Memory } from "./conditions";
import type { Lattice } from "./lattice";
import type { PathFound } from "./search";
import { BY_FINGER, makeOthersDearer, type Terms } from "./terms";

/** A stroke by its line, in the order of the lattices, and its place in that. */
export interface Place {
  readonly line: number;
  readonly stroke: number;
}

/** A bond or a memory by where its strokes stand. */
export interface Tie {
  /** Strokes that must have one finger: all of a bond; of a memory the figure's own. */
  readonly bound: readonly Place[];
  /** Strokes that had better have it too, with what it costs where they have not. */
  readonly remembered: readonly (Place & { readonly worth: number })[];
}

/** The bonds and memories that some conditions ask for; those that stand alone are left out. */
export function tiesOf({ bonds = [], memories = [] }: Conditions, lattices: readonly Lattice[]): readonly Tie[] {
  if (bonds.length + memories.length === 0) return [];
  const places = placesByNote(lattices);
  const bound = bonds.map((bond): Tie => ({ bound: bond.flatMap((note) => places.get(note) ?? []), remembered: [] }));
  const kept = memories.map((memory) => remembering(memory, places));
  return [...bound, ...kept].filter(isTie);
}

/** What settles between fingerings that strain alike: as memories, each worth FIGURE.settles. */
export function settlingOf({ settling = [] }: Conditions, lattices: readonly Lattice[]): readonly Tie[] {
  if (settling.length === 0) return [];
  const places = placesByNote(lattices);
  return settling.map((memory) => remembering(memory, places, FIGURE.settles)).filter(isTie);
}

/** @param worth of every return; where it is not given, its own */
function remembering({ note, returns }: Memory, places: ReadonlyMap<NoteId, readonly Place[]>, worth?: number): Tie {
  const remembered = returns.flatMap((r) =>
    (places.get(r.note) ?? []).map((place) => ({ ...place, worth: worth ?? r.worth })),
  );
  return { bound: places.get(note) ?? [], remembered };
}

/** Whether there are strokes to tie together. */
function isTie({ bound, remembered }: Tie): boolean {
  return bound.length > 0 && bound.length + remembered.length > 1;
}

function placesByNote(lattices: readonly Lattice[]): ReadonlyMap<NoteId, readonly Place[]> {
  const places = new Map<NoteId, Place[]>();
  lattices.forEach(({ task }, line) => {
    for (const { notes, index } of task.line.strokes)
      for (const note of notes) places.set(note, [...(places.get(note) ?? []), { line, stroke: index }]);
  });
  return places;
}

/** The finger that plays a stroke in what was found, line by line; 0 where nobody does. */
export function fingerAt({ line, stroke }: Place, bests: readonly PathFound[]): number {
  return bests[line]!.digits[stroke]!;
}

/** What it costs that a tie is broken as found: Infinity for a bond. A stroke that nobody plays breaks none. */
export function priceBroken({ bound, remembered }: Tie, bests: readonly PathFound[]): number {
  const fingers = bound.map((place) => fingerAt(place, bests)).filter((finger) => finger !== 0);
  const [first] = fingers;
  if (first === undefined) return 0;
  if (fingers.some((finger) => finger !== first)) return Infinity;
  return remembered.reduce((sum, place) => {
    const finger = fingerAt(place, bests);
    return finger === 0 || finger === first ? sum : sum + place.worth;
  }, 0);
}

/** The terms with the fingers of some ties given: bound strokes have them, and where remembered ones have others that costs. */
export function decide(fingers: ReadonlyMap<Tie, Finger>, terms: readonly Terms[]): readonly Terms[] {
  return pinnedTo(fingers, terms).map((of, line) => {
    const remembered = [...fingers].flatMap(([tie, finger]) =>
      tie.remembered.flatMap((place) => (place.line === line ? [{ ...place, finger }] : [])),
    );
    if (remembered.length === 0) return of;
    const dearer = of.dearer ? Float64Array.from(of.dearer) : new Float64Array(of.pins.length * BY_FINGER);
    for (const { stroke, finger, worth } of remembered) makeOthersDearer(dearer, stroke, finger, worth);
    return { ...of, dearer };
  });
}

/** The terms with bound strokes pinned alone. */
export function pinnedTo(fingers: ReadonlyMap<Tie, Finger>, terms: readonly Terms[]): readonly Terms[] {
  return terms.map((of, line) => {
    let pins: Int8Array | null = null;
    for (const [{ bound }, finger] of fingers) {
      for (const place of bound) {
        if (place.line !== line || of.pins[place.stroke] === finger) continue;
        pins ??= Int8Array.from(of.pins);
        pins[place.stroke] = finger;
      }
    }
    return pins === null ? of : { ...of, pins };
  });
}
