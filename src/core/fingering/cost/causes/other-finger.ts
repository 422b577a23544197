import type { Frame, Press } from "../../frames/frame";
import { armShare, sameKeys } from "../arm";
import { fingers } from "../words";
import type { Cause, Moment } from "../cause";
import { MOTION } from "../../../physics";

/**
 * Another finger on a key that was struck just before, or with one note between: it must be thought of. At once, the hand draws its
 * fingers over the key towards the thumb: one that lies farther from it comes there only past the finger that was there.
 */
export const otherFinger: Cause = {
  id: "other-finger",
  label: "other finger on the same key",
  unit: "notes",
  frames: 3,
  source:
    "A choice: less than a change of position; where a finger cannot repeat so fast, changing is cheaper all the same. From one chord to another, which the arm sets down, only on a key that both begin or both end with, about which the hand turns, and on those of a chord that is struck again: else the hand moves as a whole. That repeated notes go 4 3 2 1 is teaching practice.",
  find(moment, tell) {
    const { now, before, earlier, hand } = moment;
    const chord = armShare(hand, now);
    for (const to of now.struck) {
      const frame = onKey(before, to) ? before : isRemembered(moment) ? earlier : null;
      const from = onKey(frame, to);
      if (!from || from.finger === to.finger) continue;
      const [same, turns] = [sameKeys(frame!, now), frame === before && areSameEnd(before!, from, now, to)];
      const moved = turns || same ? 0 : movedBetween(chord, armShare(hand, frame!), frame === before);
      const strain = (costOf(moment, from, to, frame!) * (1 - moved)) / (same ? 1 : now.struck.length);
      if (strain > 0) tell(to.stroke, 1, strain, to, from);
    }
  },
  spared: () => "a key keeps its finger",
  say: ({ finger, other }) => `${fingers(other, finger)} in turn on ${finger!.stroke.spelled}`,
};

/** How far the arm moves the hand: from chord to chord; with one note between from a chord, or to one, too. */
function movedBetween(now: number, from: number, atOnce: boolean): number {
  return atOnce ? now * from : Math.max(now, from);
}

/** What it costs to come to a key with another finger: at once, by drawing the hand over it; with one note between, without. */
function costOf({ weights, now, before }: Moment, from: Press, to: Press, frame: Frame): number {
  if (frame === before) return weights.otherFinger + (to.finger > from.finger ? weights.againstSweep : 0);
  const isInNext = now.onset.begins || before?.onset.begins;
  return weights.otherFinger * (isInNext ? MOTION.otherInNext : MOTION.otherAfterOne);
}

/** Where the hand let go in between it is set down anew, wherever it was before; but a whole chord that returns is remembered. */
function isRemembered({ now, earlier, letGo, letGoBefore }: Moment): boolean {
  return !(letGo || letGoBefore) || (earlier !== null && isWhole(now) && sameKeys(earlier, now));
}

function isWhole({ struck }: Frame): boolean {
  return struck.length >= MOTION.wholeFrom;
}

/** Whether a key is the lowest of two whole chords, or the highest of both. */
function areSameEnd(before: Frame, from: Press, now: Frame, to: Press): boolean {
  if (!isWhole(before) || !isWhole(now)) return false;
  return [0, -1].some((end) => from === before.struck.at(end) && to === now.struck.at(end));
}

function onKey(frame: Frame | null, { key }: Press): Press | undefined {
  if (frame !== null) for (const press of frame.struck) if (press.key === key) return press;
  return undefined;
}
