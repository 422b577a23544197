import type { Take } from "@/core/trials/take";
import type { KeyMove, PianoInput } from "../piano/piano-input";

/** The simulated piano at the moment of playing: lets a take be heard key by key, as a connected piano would. */
export function performingPiano({ keys }: Pick<Take, "keys">): PianoInput {
  const moves = keys
    .flatMap(({ key, downMs, upMs, velocity }): KeyMove[] => [
      { key, down: true, ms: downMs, velocity },
      { key, down: false, ms: upMs ?? downMs + 100, velocity: 0 },
    ])
    .sort((a, b) => a.ms - b.ms);
  return {
    name: "Simulated piano",
    listen(heard) {
      const timers = moves.map((move) => setTimeout(() => heard(move), move.ms));
      return () => timers.forEach(clearTimeout);
    },
  };
}
