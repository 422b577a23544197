import { OWN } from "../../physics";

/** What was predicted of an onset by cause, and the faults that came there over some takes. */
export interface OnsetCauses {
  /** Strain by the cause's id, as predicted. */
  readonly causes: Readonly<Record<string, number>>;
  /** Faults there, all takes together. */
  readonly faults: number;
  /** Takes in which it was played. */
  readonly takes: number;
}

/** A cause that a player's takes would have weigh otherwise. */
export interface CauseProposed {
  readonly cause: string;
  /** Times as much as usual that it would weigh. */
  readonly times: number;
  /** Faults that came where it strains, each by its share of the strain there, and that were predicted. */
  readonly came: number;
  readonly predicted: number;
}

/**
 * What a player's takes would have causes weigh. All faults that came are spread over the onsets by their predicted strain
 * and the number of takes: that is what is predicted. Each onset's faults belong to its causes by their shares of the strain.
 * A cause weighs as many times as before as faults came against what is predicted, damped: see OWN.
 * What may well be chance is left out.
 * @param now what causes weigh already, times the usual
 * @param takes how many there are in all
 * @returns the causes that would change, the greatest change first; none from too few takes
 */
export function ownCauses(
  onsets: readonly OnsetCauses[],
  takes: number,
  now: Readonly<Record<string, number>> = {},
): readonly CauseProposed[] {
  if (takes < OWN.leastTakes) return [];
  const strains = onsets.map(({ causes }) => Object.values(causes).reduce((sum, strain) => sum + strain, 0));
  const all = onsets.reduce((sum, { faults }) => sum + faults, 0);
  const weight = onsets.reduce((sum, onset, i) => sum + strains[i]! * onset.takes, 0);
  if (weight === 0) return [];
  const came = new Map<string, number>();
  const predicted = new Map<string, number>();
  onsets.forEach((onset, i) => {
    for (const [cause, strain] of Object.entries(onset.causes)) {
      if (strain <= 0) continue;
      const share = strain / strains[i]!;
      came.set(cause, (came.get(cause) ?? 0) + share * onset.faults);
      predicted.set(cause, (predicted.get(cause) ?? 0) + (all * strain * onset.takes) / weight);
    }
  });
  return [...came]
    .map(([cause, here]): CauseProposed => {
      const there = predicted.get(cause)!;
      const by = within(((here + OWN.faultsAdded) / (there + OWN.faultsAdded)) ** OWN.power, OWN.stepRange);
      const times = Math.round(100 * within((now[cause] ?? 1) * by, OWN.causeRange)) / 100;
      return { cause, times, came: here, predicted: there };
    })
    .filter(({ cause, times }) => Math.abs(times / (now[cause] ?? 1) - 1) >= OWN.leastChange)
    .filter(({ came: here, predicted: there }) => (here - there) ** 2 > OWN.beyondChance ** 2 * (there + 1))
    .sort((a, b) => Math.abs(Math.log(b.times)) - Math.abs(Math.log(a.times)));
}

function within(value: number, [least, most]: readonly [number, number]): number {
  return Math.min(most, Math.max(least, value));
}
