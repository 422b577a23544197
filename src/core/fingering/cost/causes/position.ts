import { fingerName } from "../../../hand/finger";
import { MOTION } from "../../../physics";
import type { Frame } from "../../frames/frame";
import { fingers } from "../words";
import { pace } from "../pace";
import { isPass } from "../pass";
import { crowdingStrain } from "../stretch";
import { movedBetween, outOfPlace, thumbMoves, wideAndBack } from "../travel";
import type { Cause, Moment } from "../cause";

/** The hand set in another place: what is struck now does not lie under it as it lay two onsets before. */
export const position: Cause = {
  id: "position",
  label: "position changed",
  unit: "mm",
  frames: 3,
  source:
    "mm outside the comfortable range between this onset and the last but one, as for carrying; grows over the first MOTION.rampMm, then stays; MOTION.endsSpare less of it for each end of a wide interval that is broken. After the position-change rules of the ergonomic model cited in hand/proportions; a choice.",
  find(moment, tell) {
    const { hand, now, before, earlier, weights } = moment;
    if (earlier === null || before === null || isSetDown(moment, before)) return;
    const at = now.struck[0];
    if (at === undefined || earlier.struck.length === 0 || isOneKey(before, now)) return;
    const away = movedBetween(hand, earlier, now);
    const moved = away === 0 ? 0 : away * thumbMoves(hand, earlier, before, now);
    // A pass sets the hand in a new place whatever the way: its own price has that in it.
    const share =
      moved === 0 || isPass(before, now) || isPass(earlier, before) ? 0 : Math.min(1, moved / MOTION.rampMm);
    const change = share === 0 ? 0 : changeStrain(moment, earlier, before, share);
    const strain = change + outOfPlace(hand, earlier, now) * weights.outOfPlace;
    const ms = (now.onset.gap + before.onset.gap) / 2;
    if (strain > 0) tell(at.stroke, change > 0 ? moved : 0, strain * pace(ms), at, earlier.struck[0]!);
  },
  spared: () => "the hand stays where it is placed",
  say({ amount, finger, other }) {
    if (amount === 0) return `${fingers(other, finger)} do not lie as at rest`;
    const isOne = finger!.finger === other!.finger && finger!.key !== other!.key;
    return isOne
      ? `the ${fingerName(finger!.finger)} moves on to another key here`
      : "the hand moves to a new place here";
  },
};

/** Whether the hand sweeps a chord or is set down anew on the way: then it has no place to change. */
function isSetDown({ now, letGo, letGoBefore }: Moment, before: Frame): boolean {
  return now.onset.swept || before.onset.swept || letGo || letGoBefore;
}

/** Strain of a share of a change. Where a wide interval is broken each of its ends pays for a part of the move that both make. */
function changeStrain(moment: Moment, earlier: Frame, before: Frame, share: number): number {
  const { hand, now, weights } = moment;
  const ends = 1 - wideAndBack(hand, earlier, before, now) * MOTION.endsSpare;
  return Math.max(0, ends * share * weights.position - MOTION.closingCounts * crowdedBetween(moment, earlier, before));
}

/** What closing the hand to a note cost: the hand has moved by then, and that is not paid twice. */
function crowdedBetween(moment: Moment, { struck: from }: Frame, { struck: to }: Frame): number {
  if (from.length !== 1 || to.length !== 1 || from[0]!.finger === to[0]!.finger) return 0;
  return crowdingStrain(moment, from[0]!, to[0]!);
}

/** Fingers that take turns on one key are drawn together over it: what moves the hand is told by other causes. */
function isOneKey({ struck: from }: Frame, { struck: to }: Frame): boolean {
  return from.length === 1 && to.length === 1 && from[0]!.key === to[0]!.key;
}
