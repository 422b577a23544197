import { barsOf, surveying, type Survey, type SurveyData } from "@/core/reach/survey";
import type { Searched } from "./fingering-service";

/** Surveys that run beside the page; a newer one stops the one before. */
export interface SurveyService {
  /** @param onProgress bars done and bars in all */
  survey(
    data: SurveyData,
    onProgress: (progress: readonly [done: number, of: number]) => void,
  ): Promise<Searched<Survey>>;
  stop(): void;
}

/** ms a survey runs before it looks whether it is still wanted. */
const STRETCH = 30;

/**
 * @param breathe lets waiting messages in: a macrotask in the worker
 * @param clock ms, for measuring a stretch
 */
export function surveyService(breathe: () => Promise<void>, clock: () => number): SurveyService {
  let newest = 0;
  return {
    async survey(data, onProgress) {
      const ticket = ++newest;
      const bars = barsOf(data);
      const steps = surveying(bars, data.allows);
      let since = clock();
      for (;;) {
        if (ticket !== newest) return { stopped: true };
        const step = steps.next();
        if (step.done) return { stopped: false, found: step.value };
        if (clock() - since < STRETCH) continue;
        onProgress([step.value, bars.length]);
        await breathe();
        since = clock();
      }
    },
    stop() {
      newest++;
    },
  };
}
