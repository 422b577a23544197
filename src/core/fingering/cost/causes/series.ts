import { fastFor } from "../rebound";
import { hz } from "../words";
import type { Cause, Moment } from "../cause";

/** One key three times running: a finger that strikes twice in it has not rebounded once and done. */
export const series: Cause = {
  id: "series",
  label: "one key again and again",
  unit: "Hz",
  frames: 3,
  source:
    "What two strokes of a finger were spared, beyond which they are two of more: at its third stroke, or where another finger strikes on. By the weight of what is struck again; a choice.",
  find(moment, tell) {
    const { now, before, earlier, weights } = moment;
    if (!isOneKey(moment)) return;
    const [first, second, third] = [earlier!.struck[0]!, before!.struck[0]!, now.struck[0]!];
    const isThird = third.finger === second.finger;
    if (!isThird && first.finger !== second.finger) return;
    const rate = 1000 / (isThird ? now : before!).onset.gap;
    const spared = fastFor(second, rate, "more") - fastFor(second, rate, "twice");
    if (spared > 0) tell(third.stroke, rate, spared * weights.repetitionPerHz, second, first);
  },
  spared: () => "nothing is repeated so fast",
  say: ({ amount, finger }) => `${finger!.finger} twice in a series, ${hz(amount)}`,
};

function isOneKey({ now, before, earlier }: Moment): boolean {
  if (now.struck.length !== 1 || before?.struck.length !== 1 || earlier?.struck.length !== 1) return false;
  const { key } = now.struck[0]!;
  return before.struck[0]!.key === key && earlier.struck[0]!.key === key;
}
