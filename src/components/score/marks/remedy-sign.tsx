import type { RemedyKind } from "@/core/passage/remedied";
import type { Side } from "@/core/hand/finger";

interface Props {
  readonly kind: RemedyKind;
  /** The hand that takes a note over. */
  readonly hand?: Side;
}

/**
 * A chosen remedy as a small sign in a round frame of radius 8 about the origin: rolled a wave, left out a gap, folded
 * a step, the other hand a hook towards it, shorter a cut, and for the placements what the fingers do.
 */
export function RemedySign({ kind, hand = "left" }: Props) {
  return (
    <g
      stroke="var(--velvet)"
      strokeWidth={1.5}
      fill="none"
      strokeLinecap="round"
      strokeLinejoin="round"
      data-remedy={kind}
    >
      <circle r={8} fill="var(--paper-raised)" strokeWidth={1.1} />
      <path d={PATHS[kind]} transform={kind === "other-hand" && hand === "right" ? "scale(1 -1)" : undefined} />
    </g>
  );
}

const PATHS: Readonly<Record<RemedyKind, string>> = {
  roll: "M -1.5 5 q 4 -1.7 1 -3.4 q -3 -1.7 1 -3.4 q 4 -1.7 1 -3.4",
  omit: "M -5 0 h 2.6 M 2.4 0 h 2.6",
  fold: "M -4 3.5 h 4 v -7 h 4",
  "other-hand": "M -3 -4 v 4 a 3 3 0 0 0 6 0 m -2 2 l 2 -2 l 1.8 2",
  shorter: "M -5 0 h 6 M 2.5 -3.5 l -2 7",
  edges: "M -4.5 -3.5 v 7 M 4.5 -3.5 v 7 M -3 0 h 2 M 1 0 h 2",
  flat: "M -5 2 h 10",
  lean: "M -4.5 3 l 9 -5",
};
