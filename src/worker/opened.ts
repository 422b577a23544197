import type { Figure } from "@/core/figures/figure";
import { figuresOf } from "@/core/figures/find";
import type { Tying } from "@/core/figures/tying";
import { tyingPrice, type TyingPrice } from "@/core/options/asked/tying-price";
import { leaningConditions, leaningStudy } from "@/core/options/leaning-study";
import { leaningById } from "@/core/options/leanings";
import type { Leaning } from "@/core/options/leanings/leaning";
import type { Lattice } from "@/core/fingering/search/lattice";
import type { Progress } from "@/core/fingering/search/search";
import { latticesOf, solving, type Study } from "@/core/fingering/study/study";

/** A study with what is kept about it: by leaning the lattices, and the figures. */
export interface Opened {
  readonly study: Study;
  by(leaning: Leaning): { readonly study: Study; readonly lattices: readonly Lattice[] };
  figures(): readonly Figure[];
  pricing(tying: Tying): Generator<Progress, TyingPrice>;
}

/** Opens a study: what is worked out about it is kept. */
export function openedOn(study: Study): Opened {
  const kept = new Map<string, { readonly study: Study; readonly lattices: readonly Lattice[] }>();
  let figures: readonly Figure[] | null = null;
  const by = (leaning: Leaning) => {
    let found = kept.get(leaning.id);
    if (found === undefined) {
      const leant = leaningStudy(study, leaning);
      kept.set(leaning.id, (found = { study: leant, lattices: latticesOf(leant) }));
    }
    return found;
  };
  const known = (): readonly Figure[] => (figures ??= figuresOf(study));
  return {
    study,
    by,
    figures: known,
    *pricing(tying) {
      const balanced = leaningById("balanced");
      const { lattices } = by(balanced);
      const [tied] = yield* solving(lattices, leaningConditions(study, balanced, {}, tying, known()), 1);
      const [free] = yield* solving(lattices, {}, 1);
      return tyingPrice(study, tied!, free!);
    },
  };
}
