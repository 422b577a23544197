import { SIDES, type Side } from "../hand/finger";
import { mergedRecord } from "../merge";
import { add, compare } from "../time/beats";
import type { PassageBar } from "./metre";
import type { Note, NoteId } from "./note";
import { remedied, type NoteRemedies } from "./remedied";

export type Touch = "legato" | "detached";
export const ARPEGGIOS = ["legato", "carried"] as const;
type Arpeggios = (typeof ARPEGGIOS)[number];
export type Hands = Side | "both";

/** How a passage is to be played. */
export interface Manner {
  /** Quarter notes a minute. */
  readonly tempo: number;
  readonly touch: Touch;
  /** Whether the pedal may carry a note on after its finger has gone. */
  readonly pedal: boolean;
  /** In wide arpeggios: the thumb passes under, legato, or the arm carries the hand across, released. Legato where not said. */
  readonly arpeggios?: Arpeggios;
  /** 0 to 1 where the notes do not say; see PLAYING.middling. */
  readonly loudness?: number;
}

/** A hard spot: its notes, in order of onset and pitch, and the hands that are to play them. */
export interface Passage {
  readonly notes: readonly Note[];
  readonly hands: Hands;
  readonly staves: number;
  /** Its bars in order, so that places can be counted; without them it is counted in four from the start of the piece. */
  readonly bars?: readonly PassageBar[];
  /** Where the tune lies: the highest notes that sound, a voice by its name, or notes one by one. */
  readonly tune?: Tune;
  /** Notes played by a given hand, whatever their staff. */
  readonly taken?: Redistribution;
  /** What the player has chosen to do where the notes as written cannot be held. */
  readonly remedies?: NoteRemedies;
}

export type Redistribution = Readonly<Record<NoteId, Side>>;
export type Tune = { readonly top: true } | { readonly voice: string } | { readonly notes: readonly NoteId[] };

/** Notes taken in two windows put together, as in core/merge. */
export function mergedTaken(before: Redistribution, mine: Redistribution, theirs: Redistribution): Redistribution {
  return mergedRecord<Side>(before, mine, theirs);
}

/** The notes of the tune; none where no tune is named. */
export function tuneOf(passage: Passage): ReadonlySet<NoteId> {
  const { tune } = passage;
  if (tune === undefined) return new Set();
  if ("notes" in tune) return new Set(tune.notes);
  const notes = playedNotes(passage);
  if ("voice" in tune) return new Set(notes.filter((n) => n.voice === tune.voice).map((n) => n.id));
  return new Set(highestOf(notes).map((n) => n.id));
}

/** The highest note of each onset that no higher one sounds over still; a rolled chord is struck as one. */
function highestOf(notes: readonly Note[]): readonly Note[] {
  const highest = new Map<string, Note>();
  for (const note of notes) {
    const key = `${note.onset} ${note.rolled ? 0 : note.grace}`;
    const known = highest.get(key);
    if (!known || note.pitch >= known.pitch) highest.set(key, note);
  }
  let sounding: readonly Note[] = [];
  return [...highest.values()].filter((note) => {
    sounding = sounding.filter((n) => compare(add(n.onset, n.duration), note.onset) > 0);
    if (sounding.some((n) => n.pitch > note.pitch)) return false;
    sounding = [...sounding, note];
    return true;
  });
}

/** The notes as they are played: every chosen remedy carried out, in order. */
export function playedNotes({ notes, remedies }: Passage): readonly Note[] {
  if (remedies === undefined || Object.keys(remedies).length === 0) return notes;
  return inOrder(notes.flatMap((note) => remedied(note, remedies[note.id]) ?? []));
}

/** Tempi outside this, in quarter notes a minute, are refused. */
export const TEMPO_RANGE = [10, 480] as const;

/** The order notes are listed in everywhere: onset, grace notes first, then pitch, staff and voice. */
export function inOrder(notes: readonly Note[]): readonly Note[] {
  return [...notes].sort(
    (a, b) =>
      compare(a.onset, b.onset) ||
      a.grace - b.grace ||
      a.pitch - b.pitch ||
      a.staff - b.staff ||
      (a.voice < b.voice ? -1 : a.voice > b.voice ? 1 : 0),
  );
}

/** Which hand plays a note: the one that takes it; else with one staff the hand asked for, with two the staff's own. */
export function handOf(note: Note, passage: Passage): Side {
  const remedy = passage.remedies?.[note.id];
  if (remedy?.kind === "other-hand") return remedy.hand;
  return passage.taken?.[note.id] ?? writtenHandOf(note, passage);
}

/** The hand a note is written for: the one its chord is given to over both staves, else its staff's. */
function writtenHandOf(note: Note, passage: Passage): Side {
  if (note.hand) return note.hand;
  if (passage.staves === 1) return passage.hands === "left" ? "left" : "right";
  return note.staff === 1 ? "right" : "left";
}

/** The hands that have something to play, right first: those asked for, and one that takes a note. */
export function handsAsked(passage: Passage): readonly Side[] {
  const asked = new Set<Side>(passage.hands === "both" ? (passage.staves === 1 ? ["right"] : SIDES) : [passage.hands]);
  for (const remedy of Object.values(passage.remedies ?? {})) if (remedy.kind === "other-hand") asked.add(remedy.hand);
  for (const side of Object.values(passage.taken ?? {})) asked.add(side);
  return SIDES.filter((side) => asked.has(side));
}
