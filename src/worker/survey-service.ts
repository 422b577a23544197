import { barsOf, surveying, type Survey, type SurveyData } from "@/core/reach/survey";
import { questions, type Searched } from "./questions";

/** Surveys that run beside the page; a newer one stops the one before. */
export interface SurveyService {
  /** @param onProgress bars done and bars in all */
  survey(
    data: SurveyData,
    onProgress: (progress: readonly [done: number, of: number]) => void,
  ): Promise<Searched<Survey>>;
  stop(): void;
}

/**
 * @param breathe lets waiting messages in: a macrotask in the worker
 * @param clock ms, for measuring a stretch
 */
export function surveyService(breathe: () => Promise<void>, clock: () => number): SurveyService {
  const { latest, drop } = questions(breathe, clock, () => null);
  return {
    survey(data, onProgress) {
      const bars = barsOf(data);
      return latest("survey", surveying(bars, data.allows), (done) => onProgress([done, bars.length]));
    },
    stop: () => drop("survey"),
  };
}
