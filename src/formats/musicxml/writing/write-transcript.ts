import { FINE_BASES, lengthsFor, sumOf, type Length, type Tuplet } from "@/core/entry/length";
import {
  add,
  beats,
  compare,
  denominatorOf,
  divide,
  later,
  multiply,
  subtract,
  toNumber,
  type Beats,
} from "@/core/time/beats";
import type { BarHeard } from "@/core/transcription/bars";
import type { Cell } from "@/core/transcription/grid";
import type { NoteHeard, Transcript } from "@/core/transcription/transcript";
import type { NewNote, NewVoice } from "./new-score";
import { writeScore } from "./write-score";

/** Music understood from a file of keys, as a MusicXML 4.0 score of one piano part with two staves. */
export function writeTranscript({ title, tempo, bars, notes, cells }: Transcript, name: string): string {
  const [first] = bars;
  if (!first) throw new RangeError("Nothing was heard, so nothing can be written.");
  return writeScore({
    title: title ?? name,
    fifths: first.fifths,
    time: first.time,
    tempo,
    words: "",
    leftClef: "F",
    voices: voicesOf(notes, bars, cells),
    bars,
  });
}

function voicesOf(notes: readonly NoteHeard[], bars: readonly BarHeard[], cells: readonly Cell[]): readonly NewVoice[] {
  return (["right", "left"] as const).flatMap((side, hand): readonly NewVoice[] => {
    const own = notes.filter((note) => note.side === side);
    const count = Math.max(1, ...own.map(({ voice }) => voice + 1));
    return Array.from({ length: count }, (_, voice): NewVoice => {
      const inVoice = own.filter((note) => note.voice === voice);
      return {
        staff: hand === 0 ? 1 : 2,
        voice: voice + 1 + 4 * hand,
        stem: count === 1 ? null : voice % 2 === 0 ? "up" : "down",
        bars: barsIn(stemsOf(inVoice), bars, cells, voice > 0),
        mayEndEarly: true,
      };
    });
  });
}

/** A chord, a note, or a grace note before one. */
interface Stem {
  readonly at: Beats;
  readonly ends: Beats;
  readonly notes: readonly NoteHeard[];
}

function stemsOf(notes: readonly NoteHeard[]): readonly Stem[] {
  const stems: Stem[] = [];
  for (const note of notes) {
    const last = stems.at(-1);
    const isWith = last && last.at === note.at && last.notes[0]!.grace === note.grace;
    if (isWith) stems[stems.length - 1] = { ...last, notes: [...last.notes, note] };
    else stems.push({ at: note.at, ends: add(note.at, note.length), notes: [note] });
  }
  return stems;
}

const GRACE: Length = { base: 16, dotted: false, tuplet: null };

/** Bar by bar what one voice holds: its notes, tied over bar lines and out of tuplets, and rests between them. */
function barsIn(
  stems: readonly Stem[],
  bars: readonly BarHeard[],
  cells: readonly Cell[],
  unseen: boolean,
): readonly (readonly NewNote[])[] {
  let next = 0;
  let held: Stem | null = null;
  return bars.map(({ start, length }) => {
    const end = add(start, length);
    const here: Stem[] = held ? [held] : [];
    for (; next < stems.length && compare(stems[next]!.at, end) < 0; next++) here.push(stems[next]!);
    const bar = new OpenBar(start, end, new Cuts(cells, start, end, here), unseen);
    for (const stem of here) bar.take(stem);
    const last = here.at(-1);
    held = last && compare(last.ends, end) > 0 ? last : null;
    return bar.filled();
  });
}

/** One voice of a bar as it is filled from its start. */
class OpenBar {
  private readonly found: NewNote[] = [];
  private at: Beats;

  constructor(
    start: Beats,
    private readonly end: Beats,
    private readonly cuts: Cuts,
    private readonly unseen: boolean,
  ) {
    this.at = start;
  }

  take(stem: Stem): void {
    const from = this.cuts.writable(stem.at);
    if (compare(this.at, from) < 0) this.write(null, from);
    if (stem.notes[0]!.grace < 0)
      this.found.push({ pitches: stem.notes.map(({ pitch }) => pitch), length: GRACE, tied: false, isGrace: true });
    else this.write(stem, compare(stem.ends, this.end) < 0 ? this.cuts.writable(stem.ends) : this.end);
  }

  /** All of it, with rests to the end of the bar; nothing where a further voice has nothing to say. */
  filled(): readonly NewNote[] {
    if (!(this.unseen && this.found.length === 0)) this.write(null, this.end);
    return this.found;
  }

  /** Writes a stem, or a rest, from where the bar is to a place; nothing where it is there already. */
  private write(stem: Stem | null, to: Beats): void {
    if (compare(to, this.at) <= 0) return;
    const pieces = this.cuts.pieces(this.at, to);
    pieces.forEach((length, i) => {
      const goesOn = stem !== null && (i < pieces.length - 1 || (to === this.end && compare(stem.ends, to) > 0));
      const isTrill = stem !== null && stem.notes[0]!.isTrill && i === 0 && compare(this.at, stem.at) <= 0;
      this.found.push({
        pitches: stem === null ? [] : stem.notes.map(({ pitch }) => pitch),
        length,
        tied: goesOn,
        ...(stem === null && this.unseen ? { unseen: true } : {}),
        ...(isTrill ? { isTrill } : {}),
      });
    });
    this.at = to;
  }
}

function earlier(a: Beats, b: Beats): Beats {
  return compare(a, b) <= 0 ? a : b;
}

/** Where one voice of a bar stands in tuplets: the stretches of the grid that its own places divide so. */
class Cuts {
  private readonly tuplets: readonly { readonly from: Beats; readonly to: Beats; readonly tuplet: Tuplet }[];

  constructor(
    cells: readonly Cell[],
    private readonly start: Beats,
    end: Beats,
    stems: readonly Stem[],
  ) {
    const places = stems.flatMap(({ at, ends }) => [at, ends]);
    this.tuplets = cells.flatMap(({ from, length }) => {
      const [a, b] = [later(beats(from), start), earlier(beats(from + length), end)];
      if (compare(a, b) >= 0) return [];
      const within = places.filter((place) => compare(place, a) > 0 && compare(place, b) < 0);
      const tuplet = tupletFor(within);
      return tuplet ? [{ from: a, to: b, tuplet }] : [];
    });
  }

  /**
   * The place nearest to one that can be written here: what is let go in the midst of nothing may end where no plain value
   * and no part of a tuplet does.
   */
  writable(place: Beats): Beats {
    const inside = this.tuplets.find((one) => compare(one.from, place) <= 0 && compare(place, one.to) < 0);
    const [from, ratio] = inside ? [inside.from, beats(inside.tuplet[0], inside.tuplet[1])] : [this.start, beats(1)];
    const looks = multiply(subtract(place, from), ratio);
    if (Number.isInteger(toNumber(looks) * FINEST_PARTS)) return place;
    const nearest = divide(beats(Math.round(toNumber(looks) * ROUND_PARTS), ROUND_PARTS), ratio);
    return add(from, nearest);
  }

  /** Written lengths from one place to another, cut where tuplets begin and end. */
  pieces(from: Beats, to: Beats): readonly Length[] {
    const found: Length[] = [];
    for (let at = from; compare(at, to) < 0;) {
      const inside = this.tuplets.find((one) => compare(one.from, at) <= 0 && compare(at, one.to) < 0);
      const ahead = this.tuplets.find((one) => compare(one.from, at) > 0 && compare(one.from, to) < 0);
      const until = inside ? earlier(to, inside.to) : ahead ? ahead.from : to;
      found.push(...(inside ? inTuplet(at, until, inside) : plainly(subtract(at, this.start), subtract(until, at))));
      at = until;
    }
    return found;
  }
}

/** Parts of a quarter note that the shortest value is, and those that what cannot be written goes to. */
const FINEST_PARTS = 32;
const ROUND_PARTS = 8;

/** The tuplet that some places need; null where they are plain halves and quarters. */
function tupletFor(places: readonly Beats[]): Tuplet | null {
  const odd = places.map((place) => oddOf(denominatorOf(place)));
  if (odd.some((one) => one % 7 === 0)) return [7, 4];
  if (odd.some((one) => one % 5 === 0)) return [5, 4];
  return odd.some((one) => one % 3 === 0) ? [3, 2] : null;
}

function oddOf(count: number): number {
  return count % 2 === 0 ? oddOf(count / 2) : count;
}

/** The whole of a tuplet's time is a plain value; a part of it is one of its own. */
function inTuplet(
  at: Beats,
  until: Beats,
  { from, to, tuplet }: { readonly from: Beats; readonly to: Beats; readonly tuplet: Tuplet },
) {
  const length = subtract(until, at);
  if (at === from && until === to) return lengthsFor(length, FINE_BASES);
  const looks = multiply(length, beats(tuplet[0], tuplet[1]));
  return whole(lengthsFor(looks, FINE_BASES), looks).map((one): Length => ({ ...one, tuplet }));
}

/** A value that is written as one where it can be; else up to the next quarter note first, and the rest after it. */
function plainly(place: Beats, length: Beats): readonly Length[] {
  const one = lengthsFor(length, FINE_BASES);
  if (one.length <= 1) return whole(one, length);
  const next = subtract(beats(Math.floor(toNumber(place)) + 1), place);
  if (compare(next, length) >= 0 || next === "1") return whole(one, length);
  return [...lengthsFor(next, FINE_BASES).toReversed(), ...plainly(add(place, next), subtract(length, next))];
}

/** @throws RangeError where a length is no sum of written ones */
function whole(lengths: readonly Length[], length: Beats): readonly Length[] {
  if (sumOf(lengths) !== length)
    throw new RangeError(`${length} quarter notes cannot be written in values of ${FINE_BASES.join(", ")}.`);
  return lengths;
}
