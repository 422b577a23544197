import type { ClickBar } from "@/core/practice/click";
import type { Playing } from "./sound";
import { clickerOf, DYING_AWAY, LEAD, openStage } from "./stage";

/**
 * Begins a click that goes on until it is stopped. Each bar is asked for where the one before it ends, so whatever is asked
 * for while it goes is heard from the next bar on and no click is late for it. Needs a gesture of the player before it.
 * @param next the bar that begins now
 * @param tempo asked when it begins
 * @param onLeft told when something else takes the loudspeaker, and the click is heard no more
 * @returns null where it was no longer wanted when it could have begun
 */
export async function startClick(
  next: () => ClickBar,
  tempo: () => number,
  isWanted: () => boolean,
  onLeft: () => void,
): Promise<Pick<Playing, "setTempo" | "stop"> | null> {
  const stage = await openStage(isWanted, onLeft);
  if (stage === null) return null;
  const { Tone, transport, ticks, steady, leave } = stage;
  const clicker = clickerOf(Tone);
  const beginAt = (from: number): void => {
    transport.scheduleOnce((time) => {
      const { clicks, length } = next();
      for (const { at, weight } of clicks) {
        // What falls on this very moment can be asked for no more: it is struck.
        if (at === 0) clicker.strike(weight, time);
        else transport.scheduleOnce((then) => clicker.strike(weight, then), ticks(from + at));
      }
      beginAt(from + length);
    }, ticks(from));
  };
  beginAt(0);
  transport.bpm.value = tempo();
  transport.start(Tone.now() + LEAD, 0);
  // It begins at once, and then runs ahead.
  steady();
  return {
    setTempo: (asked) => {
      transport.bpm.value = asked;
    },
    stop() {
      leave();
      clicker.silence();
      setTimeout(() => clicker.dispose(), DYING_AWAY);
    },
  };
}
