import { fingerName } from "../../../hand/finger";
import { MOTION } from "../../../physics";
import type { Frame, Press } from "../../frames/frame";
import type { Cause, Moment } from "../cause";
import { pace } from "../pace";
import { fingerOnKey } from "../words";

/** Thumb or little finger on a black key: the hand must go in. Little where it lies in already, as over a group, less where a chord has it lie in. */
export const outerOnBlack: Cause = {
  id: "outer-on-black",
  label: "thumb or little finger on black",
  unit: "mm",
  frames: 3,
  source:
    "The black-key rules of the ergonomic model cited in hand/proportions; the mm are how far the hand is drawn in. The way in is priced once: what is left while the hand lies in, over a group, and of a chord, whose placement tells the rest, are choices.",
  find(moment, tell) {
    const { now, before, earlier } = moment;
    const over = shareOver(now);
    for (const at of now.struck) {
      if (!isOuterOnBlack(at)) continue;
      const left = wayLeft(at, before, earlier);
      const share = isSetDownOnOne(moment) ? Math.min(left, MOTION.inWhenSetDown) : left;
      tell(at.stroke, mmIn(moment, at), share * over * priceOf(moment, at, now.onset.gap), at, null);
    }
    const first = playedOnFrom(moment);
    if (first === null || !isOuterOnBlack(first)) return;
    const rest = wayLeft(first, earlier, null) - MOTION.inWhenSetDown;
    // What follows is played from there in its own time, however long there was to go in.
    const ms = Math.min(before!.onset.gap, now.onset.gap);
    const strain = rest * shareOver(before!) * priceOf(moment, first, ms);
    if (strain > 0) tell(first.stroke, mmIn(moment, first), strain, first, null);
  },
  spared: ({ finger }) => `the ${fingerName(finger!.finger)} stays on white`,
  say: ({ finger }) => `${fingerOnKey(finger!)}: the hand goes in`,
};

/** Share of the price that is left where a chord or a group has the hand lie in. */
function shareOver({ struck, onset }: Frame): number {
  if (struck.length >= MOTION.wholeFrom) return MOTION.inWithChord;
  return onset.liesOver.length > 0 ? MOTION.inWithGroup : 1;
}

function isOuterOnBlack({ black, finger }: Press): boolean {
  return black && (finger === 1 || finger === 5);
}

/** Whether the hand is set down on one key, which it may leave at once: then it need not go in. */
function isSetDownOnOne({ now, before, letGo }: Moment): boolean {
  return now.struck.length === 1 && (before === null || letGo);
}

/** The key that the hand was set down on, if it plays on from there: then it does go in. */
function playedOnFrom({ before, earlier, letGo, letGoBefore }: Moment): Press | null {
  if (before?.struck.length !== 1 || letGo) return null;
  return earlier === null || letGoBefore ? before.struck[0]! : null;
}

function mmIn({ hand }: Moment, { finger }: Press): number {
  return hand.behind[finger - 1]!;
}

/** Strain of going in the whole way, in the time there is. */
function priceOf({ weights }: Moment, { finger }: Press, ms: number): number {
  const price = finger === 1 ? weights.thumbOnBlack : weights.littleOnBlack;
  return ms === Infinity ? price : price * pace(ms);
}

/** Share of the way in that is left: most of it where the music begins, for the hand is set down there; little where the hand lies in for this very key, some where only black keys came before. */
function wayLeft(at: Press, before: Frame | null, earlier: Frame | null): number {
  if (before === null) return MOTION.inAtFirst;
  if (strikes(before, at)) return MOTION.liesIn;
  if (earlier === null) return 1;
  if (strikes(earlier, at)) return MOTION.liesIn;
  return isBlack(before) && isBlack(earlier) ? MOTION.liesInOnBlack : 1;
}

function isBlack({ struck }: Frame): boolean {
  return struck.length > 0 && struck.every(({ black }) => black);
}

/** Whether a frame strikes the same key with the same finger. */
function strikes({ struck }: Frame, at: Press): boolean {
  return struck.some((p) => p.finger === at.finger && p.key === at.key);
}
