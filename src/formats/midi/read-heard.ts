import type { MidiData } from "midi-file";
import { isOnKeyboard } from "@/core/keyboard/pitch";
import type { Heard, KeyHeard } from "@/core/transcription/heard";
import { refusal, type FileIssue, type Read } from "../issue";
import { clockOf, eventsOf, openMidi, type Timed } from "./open-midi";
import { NO_KEYS, offTheKeyboard } from "./read-midi";

/** Keys of a file at most: hours of music. More would take longer to hear than anybody waits. */
const MOST_KEYS = 30_000;

/**
 * Reads a Standard MIDI File, format 0 or 1, as music to be written down: its keys track by track, with what it states of time,
 * key and tempo. A file of one track with several channels counts those as tracks. The channel of drums is left out.
 */
export function readHeard(bytes: Uint8Array): Read<Heard> {
  const opened = openMidi(bytes);
  if (!opened.ok) return opened;
  if (opened.value.header.format === 2)
    return refusal(
      "format-2",
      "This MIDI file holds several pieces one beside another (format 2); export one of them.",
    );
  const issues: FileIssue[] = [];
  const heard = heardOf(opened.value, issues);
  if (heard.keys.length === 0) return refusal("no-keys", NO_KEYS);
  if (heard.keys.length > MOST_KEYS)
    return refusal("too-long", `The MIDI file has ${heard.keys.length} notes; up to ${MOST_KEYS} are read.`);
  return { ok: true, value: heard, issues };
}

/** The channel that the standard keeps for drums, counted from 0. */
const DRUMS = 9;

function heardOf(data: MidiData, issues: FileIssue[]): Heard {
  const events = eventsOf(data);
  const division = data.header.ticksPerBeat ?? null;
  const msOf = clockOf(events, data.header);
  const quarter = (ticks: number): number => (division === null ? msOf(ticks) / 500 : ticks / division);
  const sources: string[] = [];
  const keys = keysOf(events, data.tracks.length === 1, sources, issues).map(
    ({ key, from, to, velocity, track }): KeyHeard => ({
      ...{ key, velocity, track },
      ...{ at: quarter(from), ends: quarter(to), ms: msOf(from), msEnds: msOf(to) },
    }),
  );
  const inTime = keys.sort((a, b) => a.at - b.at || a.key - b.key);
  const names = data.tracks.map((track) => track.find(({ type }) => type === "trackName"));
  const nameOf = (track: number): string => textOf(names[track]);
  return {
    title: data.header.format === 0 || !sources.includes("0/") ? nameOf(0) || null : null,
    keys: inTime,
    tracks: sources.map((source) => nameOf(Number(source.split("/")[0]))),
    ...statedIn(events, quarter),
    tempo: tempoOf(events),
    division,
  };
}

interface RawKey {
  readonly key: KeyHeard["key"];
  readonly from: number;
  readonly to: number;
  readonly velocity: number;
  readonly track: number;
}

/** @param sources filled with the tracks or channels that have keys, in the order in which they are first heard */
function keysOf(events: readonly Timed[], byChannel: boolean, sources: string[], issues: FileIssue[]): RawKey[] {
  const keys: RawKey[] = [];
  const down = new Map<string, number>();
  let off = 0;
  const end = events.at(-1)?.ticks ?? 0;
  for (const { ticks, event, track } of events) {
    if (event.type !== "noteOn" && event.type !== "noteOff") continue;
    if (event.channel === DRUMS) continue;
    const name = `${track}/${event.channel}/${event.noteNumber}`;
    const at = down.get(name);
    if (at !== undefined) {
      keys[at] = { ...keys[at]!, to: Math.max(ticks, keys[at]!.from + 1) };
      down.delete(name);
    }
    if (event.type === "noteOff" || event.velocity === 0) continue;
    if (!isOnKeyboard(event.noteNumber)) {
      off++;
      continue;
    }
    const source = byChannel ? `0/${event.channel}` : `${track}/`;
    if (!sources.includes(source)) sources.push(source);
    const { noteNumber: key, velocity } = event;
    down.set(name, keys.push({ key, from: ticks, to: end, velocity, track: sources.indexOf(source) }) - 1);
  }
  if (off > 0) issues.push(offTheKeyboard(off));
  return keys;
}

/** Time and key signatures as the file states them. */
function statedIn(events: readonly Timed[], quarter: (ticks: number) => number): Pick<Heard, "times" | "signatures"> {
  const times = events.flatMap(({ ticks, event }) => {
    if (event.type !== "timeSignature" || event.numerator < 1 || event.numerator > 32) return [];
    return [{ at: quarter(ticks), time: [event.numerator, event.denominator] as const }];
  });
  const signatures = events.flatMap(({ ticks, event }) =>
    event.type === "keySignature" && Math.abs(event.key) <= 7 ? [{ at: quarter(ticks), fifths: event.key }] : [],
  );
  return { times: lastOfEach(times), signatures: lastOfEach(signatures) };
}

/** Of several at one place, as each track may have its own, the last. */
function lastOfEach<T extends { readonly at: number }>(all: readonly T[]): readonly T[] {
  return all.filter((one, i) => all[i + 1]?.at !== one.at);
}

function tempoOf(events: readonly Timed[]): number {
  const first = events.find(({ event }) => event.type === "setTempo")?.event;
  const perBeat = first?.type === "setTempo" ? first.microsecondsPerBeat : 500_000;
  return 60_000_000 / Math.max(1, perBeat);
}

function textOf(event: Timed["event"] | undefined): string {
  return event?.type === "trackName"
    ? event.text
        .replace(/[\p{Cc}\p{Cf}]/gu, " ")
        .trim()
        .slice(0, 120)
    : "";
}
