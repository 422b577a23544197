import type { Pitch } from "../keyboard/pitch";
import type { Hands } from "../passage/passage";
import type { Snip } from "./snip";

/** Where the keys of a take came from. What the simulated piano plays is never counted among the player's own. */
export const TAKE_SOURCES = ["midi piano", "screen", "simulated piano", "midi file"] as const;
export type TakeSource = (typeof TAKE_SOURCES)[number];

/** A key that went down. Times in ms of the device's own clock, from wherever that begins. */
export interface KeyStruck {
  readonly key: Pitch;
  readonly downMs: number;
  /** null where it was still down when the take ended. */
  readonly upMs: number | null;
  /** 1 to 127 as the device gives it. */
  readonly velocity: number;
}

/** Number of the MIDI controller that is the sustain pedal. */
export const SUSTAIN = 64;

/** The sustain pedal at a moment: 0 up to 127 down. */
export interface PedalMoved {
  readonly ms: number;
  readonly value: number;
}

/** What was played, as it came: nothing is thrown away. */
export interface Take {
  /** In the order in which they went down. */
  readonly keys: readonly KeyStruck[];
  readonly pedal: readonly PedalMoved[];
  readonly source: TakeSource;
  /** Quarter notes a minute that were meant. */
  readonly tempo: number;
  /** Whether a click was heard. */
  readonly click: boolean;
  readonly hands: Hands;
  /** What of the passage was meant to be played; null for the whole. */
  readonly snip: Snip | null;
}

/** Minutes from a take's first key going down to its last one let go; 0 where it has none. */
export function minutesOf({ keys }: Pick<Take, "keys">): number {
  const first = Math.min(...keys.map(({ downMs }) => downMs));
  const last = Math.max(...keys.map(({ downMs, upMs }) => upMs ?? downMs));
  return keys.length === 0 ? 0 : (last - first) / 60_000;
}

/** A take with its keys in the order in which they went down, the lowest first where they went down at once. */
export function inOrderOfTime(take: Take): Take {
  return { ...take, keys: [...take.keys].sort((a, b) => a.downMs - b.downMs || a.key - b.key) };
}
