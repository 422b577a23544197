import { LEARNING } from "../physics";
import { differences, type Fingering } from "../fingering/study/fingering";
import { positionsOf } from "../fingering/explain/positions";
import { notesAsked, type Study } from "../fingering/study/study";
import { dayAfter, daysBetween, type Day } from "../time/days";

/** What an option costs to learn, against what is in the fingers now. */
export interface LearningPrice {
  /** Notes in all, and those whose finger is new. */
  readonly notes: number;
  readonly digits: number;
  /** Joins in all, and those that fall elsewhere than now or are made otherwise. */
  readonly joins: number;
  readonly newJoins: number;
  /** Whether something else is in the fingers, which must be unlearnt. */
  readonly unlearns: boolean;
  /** Days of practice until it is secure, as estimated; 0 where nothing is new. */
  readonly days: number;
  /** Last day on which to begin with it; null without a concert. */
  readonly lastDay: Day | null;
  /** Whether that day is past. */
  readonly tooLate: boolean;
}

/**
 * What it costs to learn a fingering, in days of practice: some days for any change, a share of a day for every finger
 * and for every join that is new, more where old habits must be unlearnt; before a concert as many days again are free.
 * @param now what is in the fingers; null where nothing is yet
 */
export function learningPrice(
  study: Study,
  now: Fingering | null,
  option: Fingering,
  today: Day,
  concert: Day | null,
): LearningPrice {
  const asked = notesAsked(study);
  const digits = now === null ? asked.length : differences(asked, option, now).length;
  const joins = joinsOf(study, option);
  const known = new Set(now === null ? [] : joinsOf(study, now));
  const newJoins = joins.filter((join) => !known.has(join)).length;
  const unlearns = now !== null && digits > 0;
  const effort = LEARNING.any + LEARNING.digit * digits + LEARNING.join * newJoins;
  const days = digits === 0 ? 0 : Math.ceil(effort * (unlearns ? LEARNING.unlearning : 1));
  const lastDay = concert === null ? null : dayAfter(concert, -days * LEARNING.margin);
  return {
    notes: asked.length,
    digits,
    joins: joins.length,
    newJoins,
    unlearns,
    days,
    lastDay,
    tooLate: lastDay !== null && days > 0 && daysBetween(today, lastDay) < 0,
  };
}

/**
 * The last day on which a change of fingering is sensible before a concert: that of the option that is learnt soonest. null
 * without a concert, and where there is nothing else to change to.
 * @param now what is in the fingers; null where nothing is yet
 */
export function lastDayOfChange(
  study: Study,
  now: Fingering | null,
  options: readonly Fingering[],
  today: Day,
  concert: Day | null,
): Day | null {
  const days = options
    .map((option) => learningPrice(study, now, option, today, concert))
    .flatMap(({ days: needed, lastDay }) => (needed > 0 && lastDay !== null ? [lastDay] : []));
  return days.sort().at(-1) ?? null;
}

/** Each join by where it falls and how it is made. */
function joinsOf(study: Study, fingering: Fingering): readonly string[] {
  return positionsOf(study, fingering).flatMap(({ join, notes }) => (join ? [`${join.kind} ${notes[0]}`] : []));
}
