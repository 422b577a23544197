import { TRIAL_TEMPI } from "../physics";
import type { Day } from "../time/days";
import type { Attempt, TrialDay } from "./trial-plan";

/** A take as a trial plan counts it. */
export interface TakeOfTrial {
  /** Letter of the option. */
  readonly option: string;
  readonly day: Day;
  /** Quarter notes a minute that were meant. */
  readonly tempo: number;
  readonly isSnip: boolean;
  readonly clean: boolean;
}

/** What was done of an attempt on its day. */
export interface AttemptDone {
  /** Options of that day that were tried this way, and how many there are. */
  readonly options: number;
  readonly of: number;
  readonly takes: number;
  readonly clean: number;
}

/**
 * What takes did of what a day asks for, attempt by attempt. A take belongs to an attempt of its kind, snips to snips, whose
 * tempo it met within a tenth.
 */
export function doneOn({ day, options, attempts }: TrialDay, takes: readonly TakeOfTrial[]): readonly AttemptDone[] {
  const here = takes.filter((take) => take.day === day && options.includes(take.option));
  return attempts.map((attempt) => {
    const own = here.filter((take) => isOf(take, attempt));
    return {
      options: new Set(own.map(({ option }) => option)).size,
      of: options.length,
      takes: own.length,
      clean: own.filter(({ clean }) => clean).length,
    };
  });
}

function isOf({ isSnip, tempo }: TakeOfTrial, attempt: Attempt): boolean {
  return isSnip === (attempt.kind === "snips") && Math.abs(tempo / attempt.tempo - 1) <= TRIAL_TEMPI.met;
}
