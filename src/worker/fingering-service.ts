import type { Figure } from "@/core/figures/figure";
import { figuresOf } from "@/core/figures/find";
import { bondsOf } from "@/core/figures/ties";
import type { Tying } from "@/core/figures/tying";
import { leaningStudy } from "@/core/fingering/leaning-study";
import { leaningById, type LeaningId } from "@/core/fingering/leanings";
import type { Leaning } from "@/core/fingering/leanings/leaning";
import { optionConditions, type OptionAsked } from "@/core/fingering/option-conditions";
import { sharing, type Shared } from "@/core/fingering/sharing/sharing";
import type { SharingWishes } from "@/core/fingering/sharing/wishes";
import { tyingPrice, type TyingPrice } from "@/core/fingering/tying-price";
import type { FingeringWishes } from "@/core/fingering/wishes";
import { findingFirstOptions, type FirstOption } from "@/core/fingering/first-options";
import type { Fingering } from "@/core/fingering/fingering";
import type { Lattice } from "@/core/fingering/search/lattice";
import type { Progress } from "@/core/fingering/search/search";
import type { NoteId } from "@/core/passage/note";
import type { Allowances } from "@/core/reach/allowances";
import { remediesFor, type RemedyTried } from "@/core/reach/remedies-for";
import { studyOf, type StudyData } from "@/core/fingering/study-data";
import { fingering, latticesOf, solving, type Study } from "@/core/fingering/study";

/** The answer of a search: found, or stopped because a newer one was asked for. */
export type Searched<T> = { readonly stopped: false; readonly found: T } | { readonly stopped: true };

/** What an option and its passage ask of a search. */
export interface Around extends OptionAsked {
  readonly leaning: LeaningId;
  readonly wishes: FingeringWishes;
}

/** Searches that run beside the page, on the study last opened. Whatever is asked for last stops what ran before. */
export interface FingeringService {
  /** Turns to a study; what is worked out about it is kept until the next is opened. */
  open(study: StudyData): void;
  firstOptions(onProgress: (progress: Progress) => void): Promise<Searched<readonly FirstOption[]>>;
  /** The best fingering by a leaning that keeps to what an option and the passage ask. */
  around(asked: Around): Promise<Searched<Fingering>>;
  /** The figures of the study that return. */
  figures(): Promise<readonly Figure[]>;
  /** What it costs that figures keep their fingers. */
  tyingPrice(tying: Tying): Promise<TyingPrice>;
  /** The passage shared out anew between the hands. */
  share(wishes: SharingWishes, onProgress: (progress: Progress) => void): Promise<Searched<Shared>>;
  /** Every remedy for what a hand cannot hold when a note is struck; see core/reach. */
  remedies(note: NoteId, allows: Allowances): Promise<readonly RemedyTried[]>;
  stop(): void;
}

/** Sharing out begins from the hands as written, whatever was taken before. */
function asWritten(study: Study): Study {
  return { ...study, passage: { ...study.passage, taken: {} } };
}

/** A study with what is kept about it: by leaning the lattices, and the figures. */
interface Opened {
  readonly study: Study;
  by(leaning: Leaning): { readonly study: Study; readonly lattices: readonly Lattice[] };
  figures(): readonly Figure[];
  pricing(tying: Tying): Generator<Progress, TyingPrice>;
}

function openedOn(study: Study): Opened {
  const kept = new Map<string, { readonly study: Study; readonly lattices: readonly Lattice[] }>();
  let figures: readonly Figure[] | null = null;
  const by = (leaning: Leaning) => {
    let found = kept.get(leaning.id);
    if (found === undefined) {
      const leant = leaningStudy(study, leaning);
      kept.set(leaning.id, (found = { study: leant, lattices: latticesOf(leant) }));
    }
    return found;
  };
  const known = (): readonly Figure[] => (figures ??= figuresOf(study));
  return {
    study,
    by,
    figures: known,
    *pricing(tying) {
      const { lattices } = by(leaningById("balanced"));
      const [tied] = yield* solving(lattices, { bonds: bondsOf(study, known(), tying) }, 1);
      const [free] = yield* solving(lattices, {}, 1);
      return tyingPrice(study, tied!, free!);
    },
  };
}

/** ms a search runs before it looks whether it is still wanted. */
const STRETCH = 8;

/**
 * @param breathe lets waiting messages in: a macrotask in the worker
 * @param clock ms, for measuring a stretch
 */
export function fingeringService(breathe: () => Promise<void>, clock: () => number): FingeringService {
  let newest = 0;
  let opened: Opened | null = null;
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
  /** Runs beside what else is asked for, and stops nothing. */
  async function aside<T>(steps: Generator<Progress, T>): Promise<T> {
    let since = clock();
    for (;;) {
      const step = steps.next();
      if (step.done) return step.value;
      if (clock() - since < STRETCH) continue;
      await breathe();
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
      opened = openedOn(studyOf(data));
    },
    firstOptions: (onProgress) => run(findingFirstOptions(atHand().study), onProgress),
    async around({ leaning: id, wishes, pins, ruledOut }) {
      const leaning = leaningById(id);
      const { study, lattices } = atHand().by(leaning);
      const conditions = optionConditions(study, leaning, wishes, { pins, ruledOut });
      const answer = await run(fingering(lattices, conditions, 1), () => undefined);
      return answer.stopped ? answer : { stopped: false, found: answer.found[0]! };
    },
    figures: () => Promise.resolve(atHand().figures()),
    tyingPrice: (tying) => aside(atHand().pricing(tying)),
    share: (wishes, onProgress) => run(sharing(asWritten(atHand().study), wishes), onProgress),
    remedies: (note, allows) => Promise.resolve(remediesFor(atHand().study, note, allows)),
    stop() {
      newest++;
    },
  };
}
