import { REMEDY_LOSS } from "../../physics";
import { FINGERS, type Side } from "../../hand/finger";
import { noteName } from "../../passage/note";
import { holdKeys } from "../../placement/hold";
import type { Down, Predicament } from "../predicament";
import type { Proposal, Remedy } from "../remedy";
import { placementsOf } from "../../placement/placements";

/** Notes on the side of the other hand, one or two, if that hand is free and holds them with what it has down. */
export const otherHand: Remedy = {
  kind: "other-hand",
  label: "other hand",
  propose: (predicament) => [1, 2].flatMap((count) => moved(predicament, count)),
};

function moved(predicament: Predicament, count: number): readonly Proposal[] {
  const { study, side, down, other } = predicament;
  const to: Side = side === "right" ? "left" : "right";
  const hand = study.hands[to];
  if (down.length <= count || hand.resting.length === FINGERS.length) return [];
  const inner = side === "right" ? down.slice(0, count) : down.slice(-count);
  if (!inner.every((d) => d.struck)) return [];
  const placements = study.placements?.[to] ?? placementsOf(hand, study.instrument);
  const keys = [...new Set([...other, ...inner].map((d) => d.key))];
  if (holdKeys(keys, placements).kind !== "held") return [];
  return [
    {
      kind: "other-hand",
      notes: Object.fromEntries(inner.map((d) => [d.note.id, { kind: "other-hand", hand: to }])),
      loss: REMEDY_LOSS.otherHand + REMEDY_LOSS.otherHandPerNote * count,
      words: `Take ${named(inner)} with the ${to} hand, which ${other.length > 0 ? "holds it with what it has down" : "is free here"}.`,
    },
  ];
}

function named(down: readonly Down[]): string {
  return down.map((d) => noteName(d.note)).join(" and ");
}
