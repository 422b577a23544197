import { beyondRest, restApart } from "../at-rest";
import type { Press } from "../../frames/frame";
import type { Cause, Moment, Tell } from "../cause";
import { eachJoinPair } from "../join";
import { mmBetween } from "../pairs";
import { fingers, mm } from "../words";

/** A wide step of a line, or a wide pair, taken by fingers that rest close together, where others rest farther apart. */
export const wideStep: Cause = {
  id: "wide-step",
  label: "wide step by near fingers",
  unit: "mm",
  frames: 2,
  source:
    "Natural logarithm of how many times as far apart as at rest two fingers strike one after the other, or two notes together, counted from about a fifth on, wider than the hand lies at rest; its weight is a choice: for a sixth a player takes the outer fingers, though nearer ones reach it.",
  find(moment, tell) {
    const { now, before } = moment;
    if (now.struck.length === 2) {
      reach(moment, now.struck[0]!, now.struck[1]!, tell);
      return;
    }
    if (now.struck.length !== 1 || before?.struck.length !== 1) return;
    if (beyondRest(moment.hand, Math.abs(mmBetween(before.struck[0]!, now.struck[0]!))) === 0) return;
    eachJoinPair(moment, (from, to) => reach(moment, from, to, tell));
  },
  spared: () => "the outer fingers take the wide step",
  say: ({ amount, finger, other }) => `${fingers(other, finger)} reach ${mm(amount)} farther apart than they rest`,
};

function reach({ hand, weights }: Moment, from: Press, to: Press, tell: Tell): void {
  const step = Math.abs(mmBetween(from, to));
  const rest = restApart(hand, from, to);
  const wide = rest === 0 ? 0 : beyondRest(hand, step);
  const strain = wide === 0 ? 0 : weights.wideStep * wide * Math.log(step / rest);
  if (strain > 0) tell(to.stroke, step - rest, strain, to, from);
}
