import { parseMidi, type MidiData, type MidiEvent } from "midi-file";
import { refusal, type Read } from "../issue";

/** Bytes of a file that is read; a performance of hours is far smaller. */
const MOST_MIDI_BYTES = 5_000_000;
/** µs of a quarter note until a file says otherwise, by the standard. */
const USUAL_QUARTER = 500_000;
const MAGIC = [0x4d, 0x54, 0x68, 0x64];

/** An event with the tick it stands at. */
export interface Timed {
  readonly ticks: number;
  readonly event: MidiEvent;
  readonly track: number;
}

/** Whether bytes begin as a Standard MIDI File does. */
export function isMidi(bytes: Uint8Array): boolean {
  return MAGIC.every((byte, i) => bytes[i] === byte);
}

/** Opens a Standard MIDI File; a refusal that says what is wrong where it is none, or not whole. */
export function openMidi(bytes: Uint8Array): Read<MidiData> {
  if (bytes.length === 0) return refusal("empty", "The file is empty.");
  if (bytes.length > MOST_MIDI_BYTES) return refusal("too-large", "The MIDI file is larger than any performance.");
  if (!isMidi(bytes)) return refusal("not-midi", "This is not a Standard MIDI File: it does not begin with MThd.");
  if (!isWhole(bytes)) return refusal("broken-midi", "The MIDI file is broken off: a track is longer than the file.");
  try {
    return { ok: true, value: parseMidi(bytes), issues: [] };
  } catch (error) {
    const why = typeof error === "string" ? error : (error as Error).message;
    return refusal("broken-midi", `The MIDI file is broken off or damaged (${why.replace(/[.\s]+$/, "")}).`);
  }
}

/** Whether every chunk of a file ends within it. */
function isWhole(bytes: Uint8Array): boolean {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  let at = 0;
  while (at + 8 <= bytes.length) at += 8 + view.getUint32(at + 4);
  return at === bytes.length;
}

/** All events of all tracks in order of time; those of one tick in the order of the file. */
export function eventsOf({ tracks }: MidiData): readonly Timed[] {
  const all = tracks.flatMap((events, track) => {
    let ticks = 0;
    return events.map((event, i) => ({ ticks: (ticks += event.deltaTime), event, track, i }));
  });
  return all.sort((a, b) => a.ticks - b.ticks || a.track - b.track || a.i - b.i);
}

/** ms from the start of the file at a tick, by the tempo in force. */
export function clockOf(events: readonly Timed[], header: MidiData["header"]): (ticks: number) => number {
  if (header.framesPerSecond && header.ticksPerFrame) {
    const ticksPerSecond = header.framesPerSecond * header.ticksPerFrame;
    return (ticks) => (1000 * ticks) / ticksPerSecond;
  }
  const quarter = header.ticksPerBeat ?? 480;
  const span = (ticks: number, perQuarter: number): number => (ticks * perQuarter) / (1000 * quarter);
  const changes = [{ ticks: 0, ms: 0, perQuarter: USUAL_QUARTER }];
  for (const { ticks, event } of events) {
    if (event.type !== "setTempo") continue;
    const last = changes.at(-1)!;
    const ms = last.ms + span(ticks - last.ticks, last.perQuarter);
    changes.push({ ticks, ms, perQuarter: event.microsecondsPerBeat });
  }
  let at = 0;
  return (ticks) => {
    while (at > 0 && changes[at]!.ticks > ticks) at--;
    while (at + 1 < changes.length && changes[at + 1]!.ticks <= ticks) at++;
    const { ticks: from, ms, perQuarter } = changes[at]!;
    return ms + span(ticks - from, perQuarter);
  };
}
