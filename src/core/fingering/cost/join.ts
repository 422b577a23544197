import { whiteWidth } from "../../keyboard/geometry";
import { KEYBOARD, MOTION } from "../../physics";
import type { Press } from "../frames/frame";
import type { Moment } from "./cause";
import { carryTime } from "./fitts";
import { crowdingStrain, openingStrain, passStrain } from "./stretch";

/** ms before now at which a finger that struck at the onset before may leave its key; less than one counts as none. */
export function freeBefore({ stroke }: Press, { now, before }: Moment): number {
  if (stroke.until > now.onset.index || stroke.onset !== before!.onset.index) return 0;
  const free = now.onset.gap - stroke.soundsMs;
  return free < 1 ? 0 : free;
}

/**
 * Share of a stretch between two notes that is really made, 0 to 1. A finger that may leave its key before the next
 * onset need not stretch: the arm carries the hand while it is free. All of it is made where the note is bound, none
 * where the free time is as long as Fitts' law asks for the way.
 */
export function boundShare(from: Press, moment: Moment): number {
  const { now, before, instrument } = moment;
  const free = freeBefore(from, moment);
  if (free === 0) return 1;
  const width = now.struck[0]!.black ? KEYBOARD.blackTopWidth : whiteWidth(instrument);
  const needed = carryTime(Math.abs(now.centre - before!.centre), width);
  return needed === 0 ? 0 : Math.max(0, 1 - free / needed);
}

/** Strain of breaking the bound between two notes to carry the hand across; Infinity where that is not wanted. */
export function breakPrice({ manner, weights }: Pick<Moment, "manner" | "weights">): number {
  const bySchool = manner.arpeggios === "carried" ? weights.carriedAcross : Infinity;
  return Math.min(bySchool, manner.pedal ? weights.carriedByPedal : Infinity);
}

/**
 * Whether one note after another is reached by carrying the hand: where the player's school or the pedal allows it,
 * the notes lie far enough apart, nothing is held, and it strains less than the stretch or the thumb pass would.
 */
export function isCarried(moment: Moment): boolean {
  const { now, before, instrument } = moment;
  const price = breakPrice(moment);
  if (price === Infinity || before === null || now.held.length > 0 || now.onset.swept) return false;
  if (before.struck.length !== 1 || now.struck.length !== 1) return false;
  const [from, to] = [before.struck[0]!, now.struck[0]!];
  if (from.finger === to.finger) return false;
  if (Math.abs(to.x - from.x) < MOTION.carriedFrom * whiteWidth(instrument)) return false;
  const bound = openingStrain(moment, from, to) + crowdingStrain(moment, from, to) + passStrain(moment, from, to);
  return bound * boundShare(from, moment) > price;
}
