import { findingFirstOptions, type FirstOption } from "@/core/fingering/first-options";
import type { Fingering, Pins } from "@/core/fingering/fingering";
import type { Progress } from "@/core/fingering/search/search";
import { studyOf, type StudyData } from "@/core/fingering/study-data";
import { fingering } from "@/core/fingering/study";

/** The answer of a search: found, or stopped because a newer one was asked for. */
export type Searched<T> = { readonly stopped: false; readonly found: T } | { readonly stopped: true };

/** Searches that run beside the page. Whatever is asked for last stops what ran before. */
export interface FingeringService {
  firstOptions(study: StudyData, onProgress: (progress: Progress) => void): Promise<Searched<readonly FirstOption[]>>;
  /** The best fingering with these pins. */
  around(study: StudyData, pins: Pins): Promise<Searched<Fingering>>;
  stop(): void;
}

/** ms a search runs before it looks whether it is still wanted. */
const STRETCH = 8;

/**
 * @param breathe lets waiting messages in: a macrotask in the worker
 * @param clock ms, for measuring a stretch
 */
export function fingeringService(breathe: () => Promise<void>, clock: () => number): FingeringService {
  let newest = 0;
  async function run<T>(steps: Generator<Progress, T>, onProgress: (progress: Progress) => void): Promise<Searched<T>> {
    const ticket = ++newest;
    let since = clock();
    for (;;) {
      const step = steps.next();
      if (step.done) return { stopped: false, found: step.value };
      if (clock() - since < STRETCH) continue;
      onProgress(step.value);
      await breathe();
      if (ticket !== newest) return { stopped: true };
      since = clock();
    }
  }
  return {
    firstOptions: (study, onProgress) => run(findingFirstOptions(studyOf(study)), onProgress),
    async around(study, pins) {
      const answer = await run(fingering(studyOf(study), pins, 1), () => undefined);
      return answer.stopped ? answer : { stopped: false, found: answer.found[0]! };
    },
    stop() {
      newest++;
    },
  };
}
