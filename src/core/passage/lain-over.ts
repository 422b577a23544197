import { goOneWayBySteps } from "../keyboard/interval";
import type { Pitch } from "../keyboard/pitch";
import { MOTION, STAY } from "../physics";
import { brokenBeside } from "./broken-beside";
import type { Group } from "./groups";

/** What an onset of a line must tell. */
interface Struck {
  readonly struck: readonly { readonly key: Pitch }[];
}

/**
 * By onset, the keys that the hand is set down over as on a chord, lowest first: those of a group in order that has no more keys than
 * there are fingers and lies within an octave, where the line closes on them too, or of a chord that is broken beside it. None where
 * the hand goes along the keys.
 */
export function keysLainOver(onsets: readonly Struck[], groups: readonly Group[]): readonly (readonly Pitch[])[] {
  const all = onsets.map((): readonly Pitch[] => []);
  groups.forEach(({ first, last }, i) => {
    const group = onsets.slice(first, last + 1);
    const keys = keysOf(group);
    if (isRun(group) || !isUnderHand(keys)) return;
    const next = groups[i + 1]?.first ?? onsets.length;
    let end = last + 1;
    while (end < next && keysOf([onsets[end]!]).every((key) => keys.includes(key))) end++;
    all.fill(keys, first, end);
  });
  onsets.forEach((onset, index) => {
    if (onset.struck.length < MOTION.wholeFrom) return;
    for (const way of [1, -1] as const) for (const at of brokenBeside(onsets, index, way)) all[at] = keysOf([onset]);
  });
  return all;
}

function keysOf(onsets: readonly Struck[]): readonly Pitch[] {
  return [...new Set(onsets.flatMap(({ struck }) => struck.map(({ key }) => key)))].sort((a, b) => a - b);
}

function isUnderHand(keys: readonly Pitch[]): boolean {
  return keys.length <= STAY.mostKeys && keys.at(-1)! - keys[0]! <= STAY.turnWithin;
}

/** Whether single notes go one way by steps of a scale: the hand goes with them. */
function isRun(onsets: readonly Struck[]): boolean {
  return onsets.every((_, i) => i < 2 || goesOnBySteps(onsets, i));
}

/** Whether single notes come to an onset by two steps of a scale in one way: the fingers go on with the line. */
export function goesOnBySteps(onsets: readonly Struck[], index: number): boolean {
  const keys = onsets.slice(index - 2, index + 1).map(({ struck }) => (struck.length === 1 ? struck[0]!.key : NaN));
  return goOneWayBySteps([keys[1]! - keys[0]!, keys[2]! - keys[1]!]);
}
