import type { Sound } from "@/core/fingering/study/sounding";
import type { Take } from "@/core/trials/take";
import type { Music } from "../playing/music";
import { scheduleOf, type PlayingAsked, type Schedule } from "../playing/schedule";

/** How loud the score sounds beside a take. */
const BESIDE = 0.35;

/**
 * A take as it is let be heard, in quarter notes of the tempo meant from its first key on; beside it the score, where it is
 * asked for, as long as the take.
 * @param score sounds of the passage, none where the take is heard alone
 */
export function scheduleOfTake({ keys, tempo }: Pick<Take, "keys" | "tempo">, score: readonly Sound[]): Schedule {
  const quarters = (ms: number): number => (ms * tempo) / 60_000;
  const start = Math.min(...keys.map(({ downMs }) => downMs));
  const played = keys.map(({ key, downMs, upMs, velocity }) => {
    const length = quarters((upMs ?? downMs + 200) - downMs);
    return { kind: "key", at: quarters(downMs - start), key, length, load: velocity / 127 } as const;
  });
  const last = Math.max(...played.map(({ at }) => at));
  const end = Math.max(...played.map(({ at, length }) => at + length));
  const written = Math.max(0, ...score.map(({ at }) => at));
  const slower = written > 0 && last > 0 ? last / written : 1;
  const beside = score.map(({ key, at, length }) => {
    return { kind: "key", at: at * slower, key, length: length * slower, load: BESIDE } as const;
  });
  return { events: [...played, ...beside].sort((a, b) => a.at - b.at), start: 0, end };
}

/** What a hand that plays hears: a bar counted in, and the click through the passage, as asked. */
export function clicksOf(music: Music, { countIn, click }: Pick<PlayingAsked, "countIn" | "click">): Schedule {
  const all = { from: 0, to: music.end, loop: false, countIn, click };
  const schedule = scheduleOf([], music.beats, music.metreAt(0), all);
  return click ? schedule : { ...schedule, end: schedule.start };
}
