import { counted } from "@/core/counted";
import type { MidiData } from "midi-file";
import { isOnKeyboard } from "@/core/keyboard/pitch";
import { SUSTAIN, type KeyStruck, type PedalMoved, type Take } from "@/core/trials/take";
import { refusal, remark, type FileIssue, type Read } from "../issue";
import { clockOf, eventsOf, openMidi } from "./open-midi";

/** What a performance in a Standard MIDI File holds: its keys and its pedal, with times in ms from its start. */
export type Performance = Pick<Take, "keys" | "pedal">;

/**
 * Reads a Standard MIDI File as a performance: all tracks and channels together, tempo changes and frames of time code heeded.
 * A note that is never let go sounds until the end; keys no piano has are left out with a remark.
 */
export function readMidi(bytes: Uint8Array): Read<Performance> {
  const opened = openMidi(bytes);
  if (!opened.ok) return opened;
  const issues: FileIssue[] = [];
  const performance = performanceOf(opened.value, issues);
  if (performance.keys.length === 0) return refusal("no-keys", NO_KEYS);
  return { ok: true, value: performance, issues };
}

export const NO_KEYS = "The MIDI file has no notes that a piano can play.";

/** What is said of keys that no piano has. */
export function offTheKeyboard(count: number): FileIssue {
  return remark("off-the-keyboard", `Off the 88 keys, and left out: ${counted(count, "note")}.`);
}

function performanceOf(data: MidiData, issues: FileIssue[]): Performance {
  const events = eventsOf(data);
  const msOf = clockOf(events, data.header);
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
  if (off > 0) issues.push(offTheKeyboard(off));
  return { keys: keys.sort((a, b) => a.downMs - b.downMs || a.key - b.key), pedal };
}
