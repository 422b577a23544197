/**
 * Faults that only an eye sees, and the changes of how the hand lies that may mend each, by the ids of the plan's
 * adjustments, likeliest first. What helps here is for the plan to rank; this says where to look.
 */
export const SEEN_FAULTS = [
  { id: "joint-caves-in", words: "a joint caves in", leadsTo: ["lean", "higher", "in", "turn-in"] },
  { id: "finger-lifted", words: "a finger is lifted", leadsTo: ["turn-out", "turn-in", "upright", "out"] },
  { id: "finger-curled", words: "a finger curls", leadsTo: ["out", "higher", "turn-out", "lean"] },
  { id: "thumb-late", words: "the thumb is late", leadsTo: ["inwards", "turn-in", "outwards", "higher"] },
  {
    id: "elbow",
    words: "the elbow is clamped in, or goes out",
    leadsTo: ["outwards", "inwards", "turn-out", "turn-in"],
  },
  { id: "shoulder", words: "a shoulder goes up", leadsTo: ["out", "upright", "inwards", "outwards"] },
] as const satisfies readonly { readonly id: string; readonly words: string; readonly leadsTo: readonly string[] }[];

export type SeenFault = (typeof SEEN_FAULTS)[number]["id"];
export const SEEN_FAULT_IDS = SEEN_FAULTS.map(({ id }) => id) as [SeenFault, ...SeenFault[]];

/** A fault seen at a bar. */
export interface SeenAt {
  readonly fault: SeenFault;
  /** As numbered on paper. */
  readonly bar: string;
}

/** The plan's adjustments as a fault would have them tried: those it leads to first, by the plan's own ranking within. */
export function ledTo<A extends { readonly id: string }>(fault: SeenFault, adjustments: readonly A[]): readonly A[] {
  const leadsTo: readonly string[] = SEEN_FAULTS.find(({ id }) => id === fault)!.leadsTo;
  return [
    ...adjustments.filter(({ id }) => leadsTo.includes(id)),
    ...adjustments.filter(({ id }) => !leadsTo.includes(id)),
  ];
}
