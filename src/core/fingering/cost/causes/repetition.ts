import { MOTION } from "../../../physics";
import { armShare, sameKeys } from "../arm";
import { pace } from "../pace";
import { hz } from "../words";
import type { Frame, Press } from "../../frames/frame";
import type { Cause, Moment } from "../cause";

/** A finger, or the wrist with a whole chord, striking again faster than it does with ease. */
export const repetition: Cause = {
  id: "repetition",
  label: "struck again",
  unit: "Hz",
  frames: 3,
  source:
    "Strokes a second against what a finger, or the wrist, repeats with ease; straight weight; a stroke of the wrist for itself, more the less time it has. Several keys struck again are the wrist's, whichever fingers take them. Choices.",
  find(moment, tell) {
    const { now, before, earlier, weights, hand } = moment;
    if (before === null || now.struck.length === 0) return;
    const rate = 1000 / now.onset.gap;
    const wrist = now.struck.length > 1 && sameKeys(before, now) ? 1 : armShare(hand, before) * armShare(hand, now);
    const fingers = (1 - wrist) / now.struck.length;
    for (const to of now.struck) {
      const from = before.struck.find((p) => p.finger === to.finger);
      if (!from || fingers === 0) continue;
      const beyond = fastFor(to, rate, from.key === to.key && !strikes(earlier, to.key));
      if (beyond > 0) tell(to.stroke, rate, fingers * beyond * weights.repetitionPerHz, to, from);
    }
    const turn = brokenTurn(moment);
    if (turn) {
      const gone = 1000 / before.onset.gap;
      const spared = fastFor(turn, gone, false) - fastFor(turn, gone, true);
      if (spared > 0) tell(now.struck[0]!.stroke, gone, spared * weights.repetitionPerHz, turn, turn);
    }
    const fast = Math.max(0, rate - MOTION.wristEase);
    const strain = wrist * (weights.wristStroke * pace(now.onset.gap) + fast * weights.repetitionPerHz);
    if (strain > 0) tell(now.struck[0]!.stroke, rate, strain, null, null);
  },
  spared: () => "nothing is repeated so fast",
  say: ({ amount, finger }) =>
    finger ? `${finger.finger} strikes again, ${hz(amount)}` : `whole chords, ${hz(amount)}`,
};

/** Hz beyond what a finger repeats with ease; two strokes and no more go faster, for the hand rebounds once by itself. */
function fastFor({ finger }: Press, rate: number, rebounds: boolean): number {
  return Math.max(0, rate - MOTION.repeatEase[finger - 1]! * (rebounds ? MOTION.rebound : 1));
}

/** The finger that struck a single key twice before another takes it: these two strokes were not all. */
function brokenTurn({ now, before, earlier }: Moment): Press | null {
  const [first, second, third] = [earlier, before, now].map((frame) =>
    frame?.struck.length === 1 ? frame.struck[0]! : null,
  );
  if (!first || !second || !third || first.key !== second.key || second.key !== third.key) return null;
  return first.finger === second.finger && third.finger !== second.finger ? second : null;
}

function strikes(frame: Frame | null, key: number): boolean {
  return frame?.struck.some((press) => press.key === key) ?? false;
}
