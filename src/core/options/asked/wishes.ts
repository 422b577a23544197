import { mergedList, mergedValue } from "../../merge";
import type { ChosenTie } from "../../figures/chosen";
import type { Tying } from "../../figures/tying";
import type { SharingWishes } from "../sharing/wishes";

/** What the player asks of every fingering of a passage. */
export interface FingeringWishes {
  /** Which figures keep their fingers where an option's leaning has no say in it. */
  readonly tying: Tying;
  /** Stretches that the player has tied to the places that answer them; none where not said. */
  readonly ties?: readonly ChosenTie[];
  readonly noThumbOnBlack: boolean;
  readonly noFourthAndFifth: boolean;
  readonly sharing: Required<Omit<SharingWishes, "marked">>;
}

export const USUAL_WISHES: FingeringWishes = {
  tying: "alike",
  noThumbOnBlack: false,
  noFourthAndFifth: false,
  sharing: { allowed: "none", easier: "even", crossing: false },
};

/** Wishes changed in two windows put together, as in core/merge; ties are told apart by what they tie. */
export function mergedWishes(before: FingeringWishes, mine: FingeringWishes, theirs: FingeringWishes): FingeringWishes {
  const merged = <T>(of: (wishes: FingeringWishes) => T): T => mergedValue(of(before), of(mine), of(theirs));
  const ties = mergedList(before.ties ?? [], mine.ties ?? [], theirs.ties ?? []);
  return {
    tying: merged((wishes) => wishes.tying),
    ...(ties.length > 0 || theirs.ties ? { ties } : {}),
    noThumbOnBlack: merged((wishes) => wishes.noThumbOnBlack),
    noFourthAndFifth: merged((wishes) => wishes.noFourthAndFifth),
    sharing: {
      allowed: merged(({ sharing }) => sharing.allowed),
      easier: merged(({ sharing }) => sharing.easier),
      crossing: merged(({ sharing }) => sharing.crossing),
    },
  };
}
