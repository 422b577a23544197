import type { NoteId } from "../../../passage/note";
import type { HandPlan } from "../../plan/hand-plan";
import { goIn } from "./go-in";
import { group } from "./group";
import { letGo } from "./let-go";
import { look } from "./look";
import { rocking } from "./rocking";
import type { SignFound } from "./sign";

/** Signs that stand without being asked for, what matters most to a pianist first. */
const RANKED = [look, letGo, rocking, goIn, group] as const;

/**
 * The signs of a hand that stand without being asked for: at most one for each group, the group itself where nothing else is
 * to be said of it. In only for a place on black keys; where the hand rocks on over groups, they are not drawn.
 */
export function fewSigns(hand: HandPlan): readonly (SignFound & { readonly id: string })[] {
  const groupOf = groupsByNote(hand);
  const black = new Set(
    hand.frames.flatMap(({ frame }) => frame.struck.filter((p) => p.black).map((p) => p.stroke.notes[0]!)),
  );
  const taken = new Set<number>();
  return RANKED.flatMap((sign) =>
    sign.find(hand).flatMap((found) => {
      const [first, last] = [groupOf.get(found.note), groupOf.get(found.to ?? found.note)];
      if (first === undefined || taken.has(first) || (sign === goIn && !black.has(found.note))) return [];
      for (let at = first; at <= (last ?? first); at++) taken.add(at);
      return [{ ...found, id: sign.id }];
    }),
  );
}

function groupsByNote({ impulses, frames }: HandPlan): ReadonlyMap<NoteId, number> {
  const by = new Map<NoteId, number>();
  impulses.forEach(({ from, to }, i) => {
    for (let at = from; at <= to; at++) for (const note of frames[at]!.notes) by.set(note, i);
  });
  return by;
}
