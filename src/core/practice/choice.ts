import { causeById } from "../fingering/cost/causes";
import type { Judged } from "../fingering/study/study";
import { DRILLS_OFFERED } from "../physics";
import { DRILL_KINDS, drillsOf } from "./drills";
import type { Drill } from "./drill";
import type { Source } from "./source";

/** A drill that is proposed, and why. */
export interface DrillChosen {
  readonly drill: Drill;
  readonly reason: string;
}

/** What is known of each onset of a source besides its strain. */
export interface OnsetKnown {
  /** Faults a take; 0 where nothing was tried. */
  readonly faults: number;
}

/**
 * The few drills that a hand needs most, each of another kind: causes are ranked by all the strain they make, more where
 * takes fail; for each the first kind against it is taken, at the place where the cause is worst.
 * @param judged the passage with the fingering that the source has
 * @param known by onset of the source; none where nothing was tried
 */
export function chosenDrills(
  source: Source,
  judged: Pick<Judged, "notes">,
  known: readonly OnsetKnown[] = [],
): readonly DrillChosen[] {
  const byCause = new Map<string, { sum: number; worst: number; at: number }>();
  source.onsets.forEach(({ keys, index }) => {
    const weight = 1 + (known[index]?.faults ?? 0);
    for (const { note } of keys)
      for (const { cause, strain } of judged.notes[note]?.causes ?? []) {
        const now = byCause.get(cause) ?? { sum: 0, worst: 0, at: index };
        const here = strain * weight;
        byCause.set(cause, { sum: now.sum + here, ...(here > now.worst ? { worst: here, at: index } : now) });
      }
  });
  const drills = drillsOf(source);
  const chosen: DrillChosen[] = [];
  for (const [cause, { at }] of [...byCause].sort(([, a], [, b]) => b.sum - a.sum)) {
    const kind = DRILL_KINDS.find(
      ({ id, against }) => against.includes(cause) && !chosen.some(({ drill }) => drill.kind === id),
    );
    const drill =
      kind &&
      nearest(
        drills.filter((one) => one.kind === kind.id),
        at,
      );
    if (!drill) continue;
    const failing = (known[at]?.faults ?? 0) > 0 ? ", and takes fail there" : "";
    chosen.push({
      drill,
      reason: `against ${causeById(cause).label}, worst in bar ${source.onsets[at]!.bar}${failing}`,
    });
    if (chosen.length === DRILLS_OFFERED) break;
  }
  return chosen;
}

/** The drill that is about a place, the shortest of those that are; else the one nearest to it. */
function nearest(drills: readonly Drill[], at: number): Drill | undefined {
  const off = ({ about: { from, to } }: Drill): number => (at < from ? from - at : at > to ? at - to : 0);
  return [...drills].sort((a, b) => off(a) - off(b) || a.about.to - a.about.from - (b.about.to - b.about.from))[0];
}

/** Faults a take at each onset of a source, from what went astray over some takes. */
export function faultsOf(
  source: Source,
  takes: readonly { readonly astray: Readonly<Record<string, number>> }[],
): readonly OnsetKnown[] {
  return source.onsets.map(({ keys }) => {
    const faults = takes.reduce(
      (sum, { astray }) => sum + keys.reduce((own, { note }) => own + (astray[note] ?? 0), 0),
      0,
    );
    return { faults: takes.length === 0 ? 0 : faults / takes.length };
  });
}
