import type { Hand } from "../../hand/hand";
import type { Task } from "../study/task";
import { KnownSteps } from "./known-steps";

/** Manners and weights of which steps are kept for one hand; what was asked for longest ago gives way. A choice. */
const MOST_KEPT = 6;

const kept = new WeakMap<Hand, Map<string, KnownSteps>>();

/**
 * The steps that are known of a task's hand, on its instrument, in its manner and by its weights, whichever search laid them out:
 * they depend on nothing else. Kept as long as the hand is.
 */
export function stepsKeptOf({ hand, instrument, manner, weights, own }: Task): KnownSteps {
  let ofHand = kept.get(hand);
  if (ofHand === undefined) kept.set(hand, (ofHand = new Map()));
  const name = JSON.stringify([instrument, manner, weights, own]);
  const known = ofHand.get(name) ?? new KnownSteps();
  ofHand.delete(name);
  if (ofHand.size >= MOST_KEPT) ofHand.delete(ofHand.keys().next().value!);
  ofHand.set(name, known);
  return known;
}
