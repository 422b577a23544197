import { parseMidi, type MidiData, type MidiEvent } from "midi-file";
import { isOnKeyboard } from "@/core/keyboard/pitch";
import { SUSTAIN, type KeyStruck, type PedalMoved, type Take } from "@/core/trials/take";
import { refusal, remark, type FileIssue, type Read } from "../issue";

/** What a performance in a Standard MIDI File holds: its keys and its pedal, with times in ms from its start. */
export type Performance = Pick<Take, "keys" | "pedal">;

/** Bytes of a file that is read; a performance of hours is far smaller. */
const MOST_MIDI_BYTES = 5_000_000;
/** µs of a quarter note until a file says otherwise, by the standard. */
const USUAL_QUARTER = 500_000;

type Timed = { readonly ticks: number; readonly event: MidiEvent };

/**
 * Reads a Standard MIDI File as a performance: all tracks and channels together, tempo changes and frames of time code heeded.
 * A note that is never let go sounds until the end; keys no piano has are left out with a remark.
 */
export function readMidi(bytes: Uint8Array): Read<Performance> {
  if (bytes.length === 0) return refusal("empty", "The file is empty.");
  if (bytes.length > MOST_MIDI_BYTES) return refusal("too-large", "The MIDI file is larger than any performance.");
  if (!isMidi(bytes)) return refusal("not-midi", "This is not a Standard MIDI File: it does not begin with MThd.");
  if (!isWhole(bytes)) return refusal("broken-midi", "The MIDI file is broken off: a track is longer than the file.");
  let data: MidiData;
  try {
    data = parseMidi(bytes);
  } catch (error) {
    const why = typeof error === "string" ? error : (error as Error).message;
    return refusal("broken-midi", `The MIDI file is broken off or damaged (${why.replace(/[.\s]+$/, "")}).`);
  }
  const issues: FileIssue[] = [];
  const performance = performanceOf(data, issues);
  if (performance.keys.length === 0) return refusal("no-keys", "The MIDI file has no notes that a piano can play.");
  return { ok: true, value: performance, issues };
}

function isMidi(bytes: Uint8Array): boolean {
  return [0x4d, 0x54, 0x68, 0x64].every((byte, i) => bytes[i] === byte);
}

/** Whether every chunk of a file ends within it. */
function isWhole(bytes: Uint8Array): boolean {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  let at = 0;
  while (at + 8 <= bytes.length) at += 8 + view.getUint32(at + 4);
  return at === bytes.length;
}

function performanceOf({ header, tracks }: MidiData, issues: FileIssue[]): Performance {
  const events = tracks.flatMap((track, order) => timed(track).map((one, i) => ({ ...one, order, i })));
  events.sort((a, b) => a.ticks - b.ticks || a.order - b.order || a.i - b.i);
  const msOf = clockOf(events, header);
  const keys: KeyStruck[] = [];
  const pedal: PedalMoved[] = [];
  const down = new Map<string, number>();
  let off = 0;
  const letGo = (name: string, ms: number): void => {
    const at = down.get(name);
    if (at === undefined) return;
    keys[at] = { ...keys[at]!, upMs: ms };
    down.delete(name);
  };
  for (const { ticks, event } of events) {
    const ms = msOf(ticks);
    if (event.type === "noteOn" || event.type === "noteOff") {
      const name = `${event.channel}/${event.noteNumber}`;
      letGo(name, ms);
      if (event.type === "noteOff" || event.velocity === 0) continue;
      if (!isOnKeyboard(event.noteNumber)) off++;
      else down.set(name, keys.push({ key: event.noteNumber, downMs: ms, upMs: null, velocity: event.velocity }) - 1);
    } else if (event.type === "controller" && event.controllerType === SUSTAIN) pedal.push({ ms, value: event.value });
  }
  if (off > 0) issues.push(remark("off-the-keyboard", `${off} notes lie off the 88 keys and were left out.`));
  return { keys: keys.sort((a, b) => a.downMs - b.downMs || a.key - b.key), pedal };
}

function timed(track: readonly MidiEvent[]): readonly Timed[] {
  let ticks = 0;
  return track.map((event) => ({ ticks: (ticks += event.deltaTime), event }));
}

/** ms from the start of the file at a tick, by the tempo in force. */
function clockOf(events: readonly Timed[], header: MidiData["header"]): (ticks: number) => number {
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
