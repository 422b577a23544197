import { findingFirstOptions, type FirstOption } from "@/core/fingering/first-options";
import type { Fingering, Pins } from "@/core/fingering/fingering";
import type { Lattice } from "@/core/fingering/search/lattice";
import type { Progress } from "@/core/fingering/search/search";
import type { NoteId } from "@/core/passage/note";
import type { Allowances } from "@/core/reach/allowances";
import { remediesFor, type RemedyTried } from "@/core/reach/remedies-for";
import { studyOf, type StudyData } from "@/core/fingering/study-data";
import { fingering, latticesOf, type Study } from "@/core/fingering/study";

/** The answer of a search: found, or stopped because a newer one was asked for. */
export type Searched<T> = { readonly stopped: false; readonly found: T } | { readonly stopped: true };

/** Searches that run beside the page, on the study last opened. Whatever is asked for last stops what ran before. */
export interface FingeringService {
  /** Turns to a study; what is worked out about it is kept until the next is opened. */
  open(study: StudyData): void;
  firstOptions(onProgress: (progress: Progress) => void): Promise<Searched<readonly FirstOption[]>>;
  /** The best fingering with these pins. */
  around(pins: Pins): Promise<Searched<Fingering>>;
  /** Every remedy for what a hand cannot hold when a note is struck; see core/reach. */
  remedies(note: NoteId, allows: Allowances): Promise<readonly RemedyTried[]>;
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
  let opened: { readonly study: Study; readonly lattices: readonly Lattice[] } | null = null;
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
  function atHand() {
    if (opened === null) throw new Error("No study has been opened.");
    return opened;
  }
  return {
    open(data) {
      newest++;
      const study = studyOf(data);
      opened = { study, lattices: latticesOf(study) };
    },
    firstOptions: (onProgress) => run(findingFirstOptions(atHand().study), onProgress),
    async around(pins) {
      const answer = await run(fingering(atHand().lattices, { pins }, 1), () => undefined);
      return answer.stopped ? answer : { stopped: false, found: answer.found[0]! };
    },
    remedies: (note, allows) => Promise.resolve(remediesFor(atHand().study, note, allows)),
    stop() {
      newest++;
    },
  };
}
