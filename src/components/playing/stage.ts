import type * as Tone from "tone";
import type { ClickHeard } from "@/core/practice/click";

/** Seconds from asking for sound until it begins. */
export const LEAD = 0.08;

type Sounds = typeof Tone;

/** The loudspeaker, ready and empty. */
export interface Stage {
  readonly Tone: Sounds;
  readonly transport: ReturnType<Sounds["getTransport"]>;
  /** A place in quarter notes, as the transport counts. */
  ticks(quarters: number): string;
  /** From now on sounds are asked for so far ahead that none is late while the page is busy: changes are heard later for it. */
  steady(): void;
  /** Nothing sounds any more, unless another has the loudspeaker by now. */
  leave(): void;
}

/** Who has the loudspeaker, told when another takes it: one thing sounds at a time. */
let onStage: { readonly left: () => void } | null = null;

/** Seconds that sounds are asked for ahead: of what must answer at once, and of what must not stumble while the page is busy. */
const AHEAD = { prompt: 0.1, steady: 0.8 } as const;

/** Seconds after which it is looked again what is to be asked for. */
const LOOK_AGAIN = 0.05;

/**
 * Readies the loudspeaker, which answers at once, and ends what sounded on it. Needs a gesture of the player before it, as
 * browsers ask.
 * @param left told when something else takes the loudspeaker
 * @returns null where it is no longer wanted when it is ready
 */
export async function openStage(isWanted: () => boolean, left: () => void): Promise<Stage | null> {
  const Tone = await import("tone");
  await Tone.start();
  if (!isWanted()) return null;
  const before = onStage;
  const own = (onStage = { left });
  before?.left();
  const askAhead = (seconds: number): void => {
    // The library looks half as often where it is told to look farther ahead, unless it is told how often.
    Object.assign(Tone.getContext(), { lookAhead: seconds }, { updateInterval: LOOK_AGAIN });
  };
  askAhead(AHEAD.prompt);
  const transport = Tone.getTransport();
  transport.stop().cancel(0);
  transport.loop = false;
  return {
    Tone,
    transport,
    ticks: (quarters) => `${Math.round(quarters * transport.PPQ)}i`,
    steady: () => askAhead(AHEAD.steady),
    leave() {
      if (onStage !== own) return;
      onStage = null;
      transport.stop().cancel(0);
    },
  };
}

/** What clicks. */
export interface Clicker {
  strike(weight: ClickHeard["weight"], time: number): void;
  /** Nothing is heard of it any more, not even what it was asked for already. */
  silence(): void;
  dispose(): void;
}

const LOUDNESS = { bar: 1, beat: 1, part: 0.35 };

/** A short dry sound: higher where a bar begins, softer between the beats. */
export function clickerOf(Tone: Sounds): Clicker {
  const synth = new Tone.Synth({
    volume: -14,
    oscillator: { type: "triangle" },
    envelope: { attack: 0.001, decay: 0.04, sustain: 0, release: 0.02 },
  }).toDestination();
  return {
    strike: (weight, time) =>
      void synth.triggerAttackRelease(weight === "bar" ? 1568 : 1047, 0.03, time, LOUDNESS[weight]),
    silence: () => void synth.disconnect(),
    dispose: () => void synth.dispose(),
  };
}

/** Ms after which what has sounded may be thrown away without a crack. */
export const DYING_AWAY = 600;
