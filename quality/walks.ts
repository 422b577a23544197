import type { Side } from "@/core/hand/finger";
import { seeded } from "../tests/support/seeded";
import { answered } from "./grade";
import { musicOf } from "./notation";

const SCALE = [0, 2, 4, 5, 7, 9, 11];
const LINES = 240;
const NOTES = 32;

/** What a pianist would count in the digits of wandering lines. */
export interface StepsCounted {
  /** From one single note to the next, all of them. */
  readonly steps: number;
  /** By a second, with a finger left out between. */
  readonly skipped: number;
  readonly thumbToLittle: number;
  readonly hops: number;
}

/** 240 seeded lines in twelve keys, mostly by steps, with thirds, fourths and turns, as two-part inventions have them. */
export function stepsOfWalks(side: Side): StepsCounted {
  const random = seeded(side === "right" ? 11 : 12);
  let [steps, skipped, thumbToLittle, hops] = [0, 0, 0, 0];
  for (let line = 0; line < LINES; line++) {
    const tonic = (side === "right" ? 60 : 43) + (line % 12);
    let step = random.whole(0, 7);
    let way = random.pick([1, -1]);
    const keys = Array.from({ length: NOTES }, () => {
      if (random.chance(0.22) || step > 11 || step < -3) way = step > 11 ? -1 : step < -3 ? 1 : -way;
      step += way * random.pick([1, 1, 1, 1, 1, 1, 2, 2, 3]);
      return tonic + 12 * Math.floor(step / 7) + SCALE[((step % 7) + 7) % 7]!;
    });
    const given = {
      kind: "",
      name: "",
      music: musicOf(keys),
      side,
      accepted: [],
      why: "",
      manner: {},
      tune: false,
    };
    const fingers = answered(given, true).map((at) => at.fingers[0]!);
    for (let i = 1; i < keys.length; i++) {
      const [apart, between] = [Math.abs(keys[i]! - keys[i - 1]!), Math.abs(fingers[i]! - fingers[i - 1]!)];
      const inOrder =
        fingers[i]! > fingers[i - 1]! === (side === "right" ? keys[i]! > keys[i - 1]! : keys[i]! < keys[i - 1]!);
      steps++;
      if (apart <= 2 && apart > 0 && between > 1 && inOrder) skipped++;
      if (apart <= 2 && fingers[i]! + fingers[i - 1]! === 6 && between === 4) thumbToLittle++;
      if (apart > 0 && between === 0) hops++;
    }
  }
  return { steps, skipped, thumbToLittle, hops };
}
