import { planOf, type Plan } from "../motion/plan/plan";
import type { Figure } from "../figures/figure";
import type { NoteId } from "../passage/note";
import { framesOf } from "../fingering/cost/price";
import type { Frame } from "../fingering/frames/frame";
import { positionsOf, type Position } from "../fingering/explain/positions";
import { digitsOf } from "../fingering/search/terms";
import { tasksOf, type Judged, type Study } from "../fingering/study/study";
import type { Task } from "../fingering/study/task";

/** What merits look at: a judged fingering, how its hands stand at every onset, its positions, and what returns. */
export interface Fingered {
  readonly study: Study;
  readonly judged: Judged;
  readonly positions: readonly Position[];
  /** One a hand that plays, its frames onset by onset. */
  readonly hands: readonly { readonly task: Task; readonly frames: readonly Frame[] }[];
  readonly figures: readonly Figure[];
  /** The hand plan, made when it is first asked for. */
  plan(): Plan;
}

/** One figure by which fingerings are told apart. Each is a file in merits/. */
export interface Merit {
  readonly id: string;
  /** As the player reads it. */
  readonly label: string;
  readonly better: "less" | "more";
  find(fingered: Fingered): MeritFound;
  /** An amount with its unit, in words; also for the size of a difference. */
  say(amount: number): string;
}

export interface MeritFound {
  /** In the merit's own unit; 0 or more. */
  readonly amount: number;
  /** The note at which it is found, where there is one. */
  readonly where: NoteId | null;
  /** What more there is to say of it, or nothing. */
  readonly more?: string;
}

/**
 * A judged fingering with what merits look at: its positions and its figures.
 * @param figures those that return in the study; none where they are not looked for
 */
export function fingered(study: Study, judged: Judged, figures: readonly Figure[] = []): Fingered {
  const hands = tasksOf(study).map((task) => ({
    task,
    frames: framesOf(task, digitsOf(task.line, judged.fingering)),
  }));
  let plan: Plan | null = null;
  return {
    study,
    judged,
    positions: positionsOf(study, judged.fingering),
    hands,
    figures,
    plan: () => (plan ??= planOf(study, judged.fingering)),
  };
}
