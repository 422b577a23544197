import { positionsOf, type JoinKind } from "../fingering/explain/positions";
import type { Fingering } from "../fingering/study/fingering";
import { bestFingerings, tasksOf, type Study } from "../fingering/study/study";
import type { Finger, Side } from "../hand/finger";
import type { Pitch } from "../keyboard/pitch";
import { passageOfKeys } from "../passage/of-keys";
import { spelledName, type Note, type NoteId } from "../passage/note";
import { signInKey } from "../entry/spelling";
import { add, beats, compare, subtract, ZERO, type Beats } from "../time/beats";

/** A key with the finger that plays it; null where the fingering says none. */
interface KeyFingered {
  readonly key: Pitch;
  readonly finger: Finger | null;
  readonly note: NoteId;
  /** Whether it belongs to the tune. */
  readonly isTune: boolean;
  /** The voice it is written in. */
  readonly voice: string;
}

/** One onset of a hand as drills are made from it. */
export interface SourceOnset {
  readonly index: number;
  /** Lowest key first. */
  readonly keys: readonly KeyFingered[];
  /** Quarter notes until the next onset of the hand; of the last, as long as it sounds, a sixteenth at the least. */
  readonly length: Beats;
  readonly bar: string;
  readonly beat: Beats;
}

/** Onsets that lie under one placed hand, both ends included, and how they are reached. */
interface SourcePosition {
  readonly from: number;
  readonly to: number;
  readonly join: JoinKind | null;
}

/** What one hand plays of a passage, cut into its positions. */
export interface Source {
  readonly side: Side;
  /** Quarter notes a minute. */
  readonly tempo: number;
  /** Whether the pedal may carry notes on. */
  readonly pedal: boolean;
  /** Key signature that fits the passage as it is spelled best: sharps positive, flats negative. */
  readonly fifths: number;
  readonly onsets: readonly SourceOnset[];
  readonly positions: readonly SourcePosition[];
  /** Fingers of this hand for other keys, each so many quarter notes long, as the engine finds them; null where it finds none. */
  fingersFor(keys: readonly Pitch[], length: Beats): readonly (Finger | null)[];
}

/** Length of a last onset that has none of its own. */
const LAST: Beats = beats("1/4");

/** What each hand of a fingered passage plays, for its drills. Grace notes and rolled chords count with the onset they belong to. */
export function sourcesOf(study: Study, fingering: Fingering): readonly Source[] {
  const positions = positionsOf(study, fingering);
  const fifths = fifthsOf(study.passage.notes);
  const voices = new Map(study.passage.notes.map(({ id, staff, voice }) => [id, `${staff}-${voice}`]));
  return tasksOf(study).map(({ line }) => {
    const places = new Map<Beats, { keys: KeyFingered[]; bar: string; beat: Beats }>();
    for (const onset of line.onsets) {
      const place = places.get(onset.at) ?? { keys: [], bar: onset.bar, beat: onset.beat };
      places.set(onset.at, place);
      for (const { key, notes, tune } of onset.struck) {
        const [note] = notes as readonly [NoteId, ...NoteId[]];
        const finger = (fingering[note] ?? null) as Finger | null;
        place.keys.push({ key, finger, note, isTune: tune, voice: voices.get(note) ?? "" });
      }
    }
    const inTime = [...places].sort(([a], [b]) => compare(a, b));
    const onsets = inTime.map(([at, { keys, bar, beat }], index): SourceOnset => {
      const next = inTime[index + 1];
      const length = next ? subtract(next[0], at) : LAST;
      return { index, keys: [...keys].sort((a, b) => a.key - b.key), length, bar, beat };
    });
    const placeOf = new Map(onsets.flatMap(({ index, keys }) => keys.map(({ note }) => [note, index] as const)));
    return {
      side: line.side,
      tempo: study.manner.tempo,
      pedal: study.manner.pedal,
      fingersFor: (keys, length) => fingersFor(study, line.side, keys, length),
      fifths,
      onsets,
      positions: positions.flatMap(({ side, notes, join }): SourcePosition[] => {
        const own = side === line.side ? notes.flatMap((note) => placeOf.get(note) ?? []) : [];
        if (own.length === 0) return [];
        return [{ from: Math.min(...own), to: Math.max(...own), join: join?.kind ?? null }];
      }),
    };
  });
}

function fingersFor(study: Study, side: Side, keys: readonly Pitch[], length: Beats): readonly (Finger | null)[] {
  const passage = passageOfKeys(keys, length, side);
  const [best = {}] = bestFingerings({ ...study, passage }, { pins: {} }, 1) as readonly Fingering[];
  return passage.notes.map(({ id }) => best[id] ?? null);
}

/** Quarter notes that some onsets last together. */
export function lengthOf(onsets: readonly SourceOnset[]): Beats {
  return onsets.reduce((sum, { length }) => add(sum, length), ZERO);
}

/** Signatures, the plainest first. */
const SIGNATURES = [0, 1, -1, 2, -2, 3, -3, 4, -4, 5, -5, 6, -6, 7, -7] as const;

/** The key signature in which most notes of a passage need no sign as they are spelled; the plainest of several. */
function fifthsOf(notes: readonly Note[]): number {
  const names = notes.map(spelledName);
  const inKey = (fifths: number): number =>
    names.filter((name) => {
      const [step, sign = ""] = name.split(" ");
      return signInKey(step!, fifths) === (sign === "sharp" ? 1 : sign === "flat" ? -1 : sign === "" ? 0 : NaN);
    }).length;
  return SIGNATURES.reduce((best, fifths) => (inKey(fifths) > inKey(best) ? fifths : best), 0 as number);
}
