import type { NoteId } from "@/core/passage/note";

/** Where things stand in one engraved line, in px from its top left corner. */
export interface LinePlaces {
  readonly width: number;
  readonly height: number;
  readonly notes: ReadonlyMap<NoteId, NotePlace>;
  /** Top and bottom of each staff, upper first. */
  readonly staves: readonly { readonly top: number; readonly bottom: number }[];
  /** Where bar numbers, words and other signs stand beside the notes; none where not said. */
  readonly signs?: readonly Box[];
}

interface Box {
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
}

export interface NotePlace {
  readonly x: number;
  readonly y: number;
  /** Highest and lowest ink of the note, or of its chord, with stem and articulation. */
  readonly top: number;
  readonly bottom: number;
  readonly stemUp: boolean | null;
}

/** Reads the places of the given notes off an engraved line; the engraver draws each note under its own id. */
export function readPlaces(line: HTMLElement, ids: readonly NoteId[]): LinePlaces {
  const frame = line.getBoundingClientRect();
  const notes = new Map<NoteId, NotePlace>();
  for (const id of ids) {
    const note = line.querySelector(`[id="${id}"]`);
    const head = note?.querySelector("g.notehead")?.getBoundingClientRect();
    if (!note || !head) continue;
    const stem = (
      note.querySelector("g.stem") ?? note.closest("g.chord")?.querySelector(":scope > g.stem")
    )?.getBoundingClientRect();
    const ink = (note.closest("g.chord") ?? note).getBoundingClientRect();
    const y = head.top + head.height / 2 - frame.top;
    const hasStem = stem !== undefined && stem.height > 0;
    notes.set(id, {
      x: head.left + head.width / 2 - frame.left,
      y,
      top: ink.top - frame.top,
      bottom: ink.bottom - frame.top,
      stemUp: hasStem ? stem.top + stem.height / 2 < head.top + head.height / 2 : null,
    });
  }
  const signs = [...line.querySelectorAll(BESIDE_NOTES)].map((sign) => within(sign, frame));
  return { width: frame.width, height: frame.height, notes, staves: staffPlaces(line, frame), signs };
}

/** What the engraver puts over and under the staves, by its classes. */
const BESIDE_NOTES = "g.mNum, g.dir, g.tempo, g.dynam, g.hairpin, g.octave, g.verse, g.harm, g.reh";

function within(element: Element, frame: DOMRect): Box {
  const { left, right, top, bottom } = element.getBoundingClientRect();
  return { left: left - frame.left, right: right - frame.left, top: top - frame.top, bottom: bottom - frame.top };
}

function staffPlaces(line: HTMLElement, frame: DOMRect): LinePlaces["staves"] {
  const measure = line.querySelector("g.measure");
  const staves = measure ? [...measure.querySelectorAll(":scope > g.staff")] : [];
  return staves.map((staff) => {
    const rules = [...staff.querySelectorAll(":scope > path")].map((path) => path.getBoundingClientRect());
    return {
      top: Math.min(...rules.map((r) => r.top)) - frame.top,
      bottom: Math.max(...rules.map((r) => r.bottom)) - frame.top,
    };
  });
}
