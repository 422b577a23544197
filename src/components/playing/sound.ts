import { placeWithin, type Schedule } from "./schedule";
import { clickerOf, DYING_AWAY, LEAD, openStage } from "./stage";

/** Something that plays a schedule and tells how far it has come. */
export interface Playing {
  /** Quarter notes a minute, from now on. */
  setTempo(tempo: number): void;
  /** Quarter notes since playing began, count-in included. */
  position(): number;
  /** When a place is heard at the tempo that it began with, in ms of the page's clock: as near as the browser knows its loudspeaker. */
  heardAt(quarters: number): number;
  stop(): void;
}

/** How loud a note is, from the softest to the loudest, as a share of full. */
const SOFTEST = 0.25;

/** The parts of the tone, the ground one first: a plain string-like sound that dies away. */
const PARTIALS = [1, 0.45, 0.3, 0.14, 0.09, 0.05, 0.03];

/**
 * Begins to play on the loudspeaker. Needs a gesture of the player before it, as browsers ask.
 * @param tempo asked when it begins
 * @param onEnd called when it has come to its end, which nothing does that is looped, and when something else takes the loudspeaker
 * @param isWanted asked before anything sounds
 * @returns null where it was no longer wanted when it could have begun
 */
export async function startPlaying(
  schedule: Schedule,
  tempo: () => number,
  loop: boolean,
  onEnd: () => void,
  isWanted: () => boolean,
): Promise<Playing | null> {
  const stage = await openStage(isWanted, onEnd);
  if (stage === null) return null;
  const { Tone, transport, ticks, leave } = stage;
  const room = new Tone.Filter(4200, "lowpass").toDestination();
  const piano = new Tone.PolySynth(Tone.Synth, {
    volume: -12,
    oscillator: { type: "custom", partials: PARTIALS },
    envelope: { attack: 0.004, decay: 1.6, sustain: 0.02, release: 0.35 },
  }).connect(room);
  piano.maxPolyphony = 48;
  const clicker = clickerOf(Tone);
  for (const event of schedule.events) {
    transport.schedule((time) => {
      if (event.kind === "click") clicker.strike(event.strong ? "bar" : "beat", time);
      else {
        const seconds = Math.max(0.05, (event.length * 60) / transport.bpm.value);
        const loudness = SOFTEST + (1 - SOFTEST) * event.load;
        piano.triggerAttackRelease(Tone.Frequency(event.key, "midi").toFrequency(), seconds, time, loudness);
      }
    }, ticks(event.at));
  }
  transport.bpm.value = tempo();
  transport.loop = loop;
  if (loop) transport.setLoopPoints(ticks(schedule.start), ticks(schedule.end));
  else transport.scheduleOnce(() => Tone.getDraw().schedule(onEnd, Tone.now()), ticks(schedule.end + 0.02));
  const begins = Tone.now() + LEAD;
  const atFirst = tempo();
  transport.start(begins, 0);
  return {
    setTempo: (next) => {
      transport.bpm.value = next;
    },
    position: () => {
      const quarters = transport.getTicksAtTime(Tone.immediate()) / transport.PPQ;
      return placeWithin(schedule, Math.max(0, quarters), loop);
    },
    heardAt: (quarters) => {
      const [seconds, ms] = clocks(Tone.getContext().rawContext);
      return ms + 1000 * (begins + (quarters * 60) / atFirst - seconds);
    },
    stop() {
      leave();
      piano.releaseAll();
      setTimeout(() => [piano, clicker, room].forEach((part) => part.dispose()), DYING_AWAY);
    },
  };
}

/** One moment by two clocks: that of what is heard, in seconds, and the page's, in ms. */
function clocks(context: { readonly currentTime: number }): readonly [seconds: number, ms: number] {
  if (context instanceof AudioContext) {
    const { contextTime, performanceTime } = context.getOutputTimestamp();
    if (contextTime && performanceTime) return [contextTime, performanceTime];
  }
  return [context.currentTime, performance.now()];
}
