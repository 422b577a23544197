import { writeMidi, type MidiEvent } from "midi-file";
import { SUSTAIN, type Take } from "@/core/trials/take";

/** Ticks a ms: one, a quarter note being half a second. */
const TICKS_A_QUARTER = 500;

/** A take as a Standard MIDI File of one track, its times to the nearest ms from its first event. */
export function writeTake({ keys, pedal }: Pick<Take, "keys" | "pedal">): Uint8Array {
  const last = Math.max(0, ...keys.map((k) => k.upMs ?? k.downMs), ...pedal.map(({ ms }) => ms));
  const start = Math.min(Infinity, ...keys.map(({ downMs }) => downMs), ...pedal.map(({ ms }) => ms));
  const from = Number.isFinite(start) ? start : 0;
  const events: { ms: number; rank: number; event: MidiEvent }[] = [];
  for (const { key, downMs, upMs, velocity } of keys) {
    const common = { deltaTime: 0, channel: 0, noteNumber: key };
    events.push({ ms: downMs, rank: 1, event: { ...common, type: "noteOn", velocity } });
    events.push({ ms: upMs ?? last, rank: 0, event: { ...common, type: "noteOff", velocity: 0 } });
  }
  for (const { ms, value } of pedal)
    events.push({
      ms,
      rank: 2,
      event: { deltaTime: 0, type: "controller", channel: 0, controllerType: SUSTAIN, value },
    });
  events.sort((a, b) => a.ms - b.ms || a.rank - b.rank);
  let before = 0;
  const track: MidiEvent[] = [{ deltaTime: 0, meta: true, type: "setTempo", microsecondsPerBeat: 500_000 }];
  for (const { ms, event } of events) {
    const at = Math.round(ms - from);
    track.push({ ...event, deltaTime: at - before } as MidiEvent);
    before = at;
  }
  track.push({ deltaTime: 0, meta: true, type: "endOfTrack" });
  const header = { format: 0, numTracks: 1, ticksPerBeat: TICKS_A_QUARTER } as const;
  return Uint8Array.from(writeMidi({ header, tracks: [track] }));
}
