import type { Press } from "../frames/frame";

/**
 * mm along the keyboard from one press to another, positive towards finger 5: between white keys from head to head, so that
 * all their steps are alike; where one of the two is black, from where fingers lie that go to it or come from it.
 */
export function mmBetween(from: Press, to: Press): number {
  return from.black || to.black ? to.x - from.x : to.head - from.head;
}

/** mm from one finger to another, positive in their natural order. */
export function apart(from: Press, to: Press): number {
  return from.finger < to.finger ? mmBetween(from, to) : mmBetween(to, from);
}
