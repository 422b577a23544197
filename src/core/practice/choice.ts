import { causeById } from "../fingering/cost/causes";
import type { Judged } from "../fingering/study/study";
import { DRILLS_OFFERED, TENSE_FROM } from "../physics";
import { DRILL_KINDS, drillsOf } from "./drills";
import type { Drill } from "./drill";
import { USUAL_SCHOOL, type School } from "./school";
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
  /** Tension felt, 0 to 1; 0 where nothing was said. */
  readonly tension: number;
}

/** What a choice of drills goes by besides strain. */
export interface ChoiceGiven {
  /** By onset of the source; none where nothing was tried. */
  readonly known?: readonly OnsetKnown[];
  readonly school?: School;
  /** Drills, by their ids, that have done their work. */
  readonly worked?: ReadonlySet<string>;
}

/**
 * The few drills that a hand needs most, each of another kind: causes are ranked by all the strain they make, more where
 * takes fail and where tension is felt; for each the first kind against it is taken that suits the player's school, else the first of any, at the place
 * where the cause is worst. A drill that has done its work gives way to the next.
 * @param judged the passage with the fingering that the source has
 */
export function chosenDrills(
  source: Source,
  judged: Pick<Judged, "notes">,
  { known = [], school = USUAL_SCHOOL, worked = new Set() }: ChoiceGiven = {},
): readonly DrillChosen[] {
  const drills = drillsOf(source).filter(({ id }) => !worked.has(id));
  const chosen: DrillChosen[] = [];
  for (const { cause, at } of rankedCauses(source, judged, known)) {
    const drill = drillAgainst(cause, at, drills, school, chosen);
    if (!drill) continue;
    const failing = (known[at]?.faults ?? 0) > 0 ? ", and takes fail there" : "";
    const tense = (known[at]?.tension ?? 0) >= TENSE_FROM ? ", and it is felt there" : "";
    const { pace } = KIND_BY_ID.get(drill.kind)!;
    const suited = pace === PACE[school.movement] ? `; ${SAID[pace]}, as you like it` : "";
    chosen.push({
      drill,
      reason: `against ${causeById(cause).label}, worst in bar ${source.onsets[at]!.bar}${failing}${tense}${suited}`,
    });
    if (chosen.length === DRILLS_OFFERED) break;
  }
  return chosen;
}

const KIND_BY_ID = new Map(DRILL_KINDS.map((kind) => [kind.id, kind]));
const PACE = { slow: "slow", snips: "quick" } as const;
const SAID = { slow: "slow first", quick: "at speed" } as const;

/** Causes by all the strain they make, more where takes fail, each with the onset where it is worst. */
function rankedCauses(
  source: Source,
  judged: Pick<Judged, "notes">,
  known: readonly OnsetKnown[],
): readonly { readonly cause: string; readonly at: number }[] {
  const byCause = new Map<string, { sum: number; worst: number; at: number }>();
  source.onsets.forEach(({ keys, index }) => {
    const weight = 1 + (known[index]?.faults ?? 0) + (known[index]?.tension ?? 0);
    for (const { note } of keys)
      for (const { cause, strain } of judged.notes[note]?.causes ?? []) {
        const now = byCause.get(cause) ?? { sum: 0, worst: 0, at: index };
        const here = strain * weight;
        byCause.set(cause, { sum: now.sum + here, ...(here > now.worst ? { worst: here, at: index } : now) });
      }
  });
  return [...byCause].sort(([, a], [, b]) => b.sum - a.sum).map(([cause, { at }]) => ({ cause, at }));
}

/** The drill against a cause at a place, of a kind that is not chosen yet. */
function drillAgainst(
  cause: string,
  at: number,
  drills: readonly Drill[],
  { movement }: School,
  chosen: readonly DrillChosen[],
): Drill | undefined {
  const kinds = DRILL_KINDS.filter(
    ({ id, against }) =>
      against.includes(cause) &&
      drills.some(({ kind }) => kind === id) &&
      !chosen.some(({ drill }) => drill.kind === id),
  );
  const kind = kinds.find(({ pace }) => pace === PACE[movement]) ?? kinds[0];
  return (
    kind &&
    nearest(
      drills.filter((one) => one.kind === kind.id),
      at,
    )
  );
}

/** The drill that is about a place, the shortest of those that are; else the one nearest to it. */
function nearest(drills: readonly Drill[], at: number): Drill | undefined {
  const off = ({ about: { from, to } }: Drill): number => (at < from ? from - at : at > to ? at - to : 0);
  return [...drills].sort((a, b) => off(a) - off(b) || a.about.to - a.about.from - (b.about.to - b.about.from))[0];
}

/** A take as the choice looks at it. */
export interface TakeChosenBy {
  /** How many faults at each note that has any. */
  readonly astray: Readonly<Record<string, number>>;
  /** Tension felt, 0 to 10, and the bars that were named, as numbered on paper; null where nothing was said. */
  readonly felt: {
    readonly amount: number;
    readonly bars: { readonly from: string; readonly to: string } | null;
  } | null;
}

/**
 * What some takes tell of each onset of a source: faults a take, and the tension felt in its bar as a share of the most there is.
 * Tension that names no bars lies on all of them.
 */
export function knownOnsets(source: Source, takes: readonly TakeChosenBy[]): readonly OnsetKnown[] {
  const bars = source.onsets.map(({ bar }) => bar);
  const isNamed = (at: number, named: { readonly from: string; readonly to: string } | null): boolean => {
    if (named === null) return true;
    const [first, last] = [bars.indexOf(named.from), bars.lastIndexOf(named.to)];
    return first >= 0 && at >= first && at <= last;
  };
  const share = (sum: number): number => (takes.length === 0 ? 0 : sum / takes.length);
  return source.onsets.map(({ keys, index }) => {
    const faults = takes.reduce(
      (sum, { astray }) => sum + keys.reduce((own, { note }) => own + (astray[note] ?? 0), 0),
      0,
    );
    const tension = takes.reduce(
      (sum, { felt }) => sum + (felt && isNamed(index, felt.bars) ? felt.amount / 10 : 0),
      0,
    );
    return { faults: share(faults), tension: share(tension) };
  });
}
