import { writeMidi, type MidiEvent } from "midi-file";
import type { Side } from "@/core/hand/finger";
import type { Note } from "@/core/passage/note";
import { TRANSCRIPTION } from "@/core/physics";
import { add, subtract, toNumber, type Beats } from "@/core/time/beats";

/** Ticks a quarter note: triplets, fives and sevens of thirty-seconds fall on whole ones. */
const TICKS_A_QUARTER = 840;
/** Velocity of a note nothing is said of. */
const MIDDLING = 64;

/** Bars as they are counted: each with its time and key signature. */
export interface BarWritten {
  readonly start: Beats;
  readonly length: Beats;
  readonly time: readonly [number, number];
  readonly fifths: number;
}

/** Music to be written as MIDI. */
export interface ScoreForMidi {
  readonly title: string;
  readonly notes: readonly Note[];
  readonly handOf: (note: Note) => Side;
  readonly bars: readonly BarWritten[];
  /** Words at a place, for what the format has nothing for: digits, signs. */
  readonly words?: readonly { readonly at: Beats; readonly side: Side; readonly text: string }[];
  /** From which place on each tempo holds, in quarter notes a minute. */
  readonly tempi: readonly { readonly at: Beats; readonly tempo: number }[];
}

interface At {
  readonly ticks: number;
  /** What comes first of one tick: what ends, what is stated, what begins. */
  readonly rank: number;
  readonly event: MidiEvent;
}

/**
 * Music as it stands, as a Standard MIDI File of format 1: a track for time, key and tempo, and one for each hand. Every note
 * lasts as long as it is written; grace notes come just before the beat, and strokes of a rolled chord together. A bar that is
 * shorter than its time signature says, as an upbeat, has one of its own, so that bars come out as they are.
 */
export function writeScoreMidi({ title, notes, handOf, bars, tempi, words = [] }: ScoreForMidi): Uint8Array {
  const from = bars[0]?.start ?? notes[0]?.onset ?? ("0" as Beats);
  const ticksAt = (at: Beats): number => Math.max(0, Math.round(toNumber(subtract(at, from)) * TICKS_A_QUARTER));
  const stated: At[] = [named(title)];
  for (const { at, tempo } of tempi)
    stated.push({
      ticks: ticksAt(at),
      rank: 1,
      event: { deltaTime: 0, meta: true, type: "setTempo", microsecondsPerBeat: Math.round(60_000_000 / tempo) },
    });
  bars.forEach((bar, i) => stated.push(...signatures(bar, bars[i - 1] ?? null, ticksAt(bar.start))));
  const hands = (["right", "left"] as const).map((side): At[] => [
    named(`${side === "right" ? "Right" : "Left"} hand`),
    ...words.flatMap(({ at, side: own, text }) => (own === side ? [said(ticksAt(at), text)] : [])),
    ...notes.flatMap((note) => (handOf(note) === side ? keyEvents(note, side, ticksAt) : [])),
  ]);
  const tracks = [stated, ...hands].map(inOrder);
  const header = { format: 1, numTracks: tracks.length, ticksPerBeat: TICKS_A_QUARTER } as const;
  return Uint8Array.from(writeMidi({ header, tracks }));
}

function named(text: string): At {
  return { ticks: 0, rank: -1, event: { deltaTime: 0, meta: true, type: "trackName", text: plain(text) } };
}

function said(ticks: number, text: string): At {
  return { ticks, rank: 1, event: { deltaTime: 0, meta: true, type: "text", text: plain(text) } };
}

/** Names in a MIDI file are bytes: what has no place among them is written near it. */
function plain(text: string): string {
  return text.normalize("NFKD").replace(/[^\x20-\x7e]/g, "");
}

function signatures(bar: BarWritten, before: BarWritten | null, ticks: number): readonly At[] {
  const found: At[] = [];
  const [count, unit] = countedAs(bar);
  const last = before && countedAs(before);
  if (!last || last[0] !== count || last[1] !== unit)
    found.push({
      ticks,
      rank: 1,
      event: {
        deltaTime: 0,
        meta: true,
        type: "timeSignature",
        numerator: count,
        denominator: unit,
        metronome: 24,
        thirtyseconds: 8,
      },
    });
  if (!before || before.fifths !== bar.fifths)
    found.push({
      ticks,
      rank: 1,
      event: { deltaTime: 0, meta: true, type: "keySignature", key: bar.fifths, scale: 0 },
    });
  return found;
}

/** The time signature of a bar, or the one of its real length where that is another. */
function countedAs({ time, length }: BarWritten): readonly [number, number] {
  for (let unit = time[1]; unit <= 64; unit *= 2) {
    const count = (toNumber(length) * unit) / 4;
    if (Number.isInteger(count) && count > 0) return [count, unit];
  }
  return time;
}

function keyEvents(note: Note, side: Side, ticksAt: (at: Beats) => number): readonly At[] {
  const { onset, duration, grace, pitch, loudness, rolled } = note;
  const channel = side === "right" ? 0 : 1;
  const velocity = loudness === undefined ? MIDDLING : Math.max(1, Math.min(127, Math.round(loudness * 127)));
  const own = rolled ? 0 : grace;
  const short = Math.round(GRACE * TICKS_A_QUARTER);
  const start = Math.max(0, ticksAt(onset) + Math.min(0, own) * short);
  const end = own < 0 ? Math.max(start + 1, start + short) : Math.max(start + 1, ticksAt(add(onset, duration)));
  const common = { deltaTime: 0, channel, noteNumber: pitch };
  return [
    { ticks: start, rank: 2, event: { ...common, type: "noteOn", velocity } },
    { ticks: end, rank: 0, event: { ...common, type: "noteOff", velocity: 0 } },
  ];
}

/** Quarter notes of a grace note: shorter than anything that is written out, and on no place of a grid. */
const GRACE = 0.45 * TRANSCRIPTION.graceQuarters;

function inOrder(all: readonly At[]): MidiEvent[] {
  const sorted = [...all].sort((a, b) => a.ticks - b.ticks || a.rank - b.rank);
  let last = 0;
  const events = sorted.map(({ ticks, event }): MidiEvent => {
    const deltaTime = ticks - last;
    last = ticks;
    return { ...event, deltaTime };
  });
  return [...events, { deltaTime: 0, meta: true, type: "endOfTrack" }];
}
