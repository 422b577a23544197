import type { Figure } from "@/core/figures/figure";
import { figuresOf } from "@/core/figures/find";
import { bondsOf } from "@/core/figures/ties";
import type { Tying } from "@/core/figures/tying";
import { leaningStudy } from "@/core/fingering/options/leaning-study";
import { leaningById, type LeaningId } from "@/core/fingering/options/leanings";
import type { Leaning } from "@/core/fingering/options/leanings/leaning";
import { optionConditions, type OptionAsked } from "@/core/fingering/asked/option-conditions";
import { sharing, type Shared } from "@/core/fingering/sharing/sharing";
import type { SharingWishes } from "@/core/fingering/sharing/wishes";
import { tyingPrice, type TyingPrice } from "@/core/fingering/asked/tying-price";
import type { FingeringWishes } from "@/core/fingering/asked/wishes";
import { findingFirstOptions, type FirstOption } from "@/core/fingering/options/first-options";
import type { Fingering } from "@/core/fingering/study/fingering";
import type { Lattice } from "@/core/fingering/search/lattice";
import type { Progress } from "@/core/fingering/search/search";
import type { NoteId } from "@/core/passage/note";
import type { Allowances } from "@/core/reach/allowances";
import { remediesFor, type RemedyTried } from "@/core/reach/remedies-for";
import { studyOf, type StudyData } from "@/core/fingering/study/study-data";
import { fingering, judge, latticesOf, solving, type Judged, type Study } from "@/core/fingering/study/study";
import { loweringAt, type Lowering } from "@/core/fingering/explain/lowering";
import { sweeping, type Sweep } from "@/core/fingering/explain/sweep";
import { motionSweeping, type MotionSweep } from "@/core/motion/plan/motion-sweep";
import { planOf, type Plan } from "@/core/motion/plan/plan";
import { withTune } from "@/core/motion/marks/plan-marks";
import type { Tune } from "@/core/passage/passage";
import { chosenFigure } from "@/core/figures/chosen";
import { keepingPrices, type KeepingPrice } from "@/core/figures/keeping-price";

/** The answer of a search: found, or stopped because a newer one was asked for. */
export type Searched<T> = { readonly stopped: false; readonly found: T } | { readonly stopped: true };

/** What an option and its passage ask of a search. */
export interface Around extends OptionAsked {
  readonly leaning: LeaningId;
  readonly wishes: FingeringWishes;
}

/**
 * Searches that run beside the page, on the study that was open when they were asked for. Pins are answered in the order
 * in which they were asked about; of every other kind the newest question counts and stops the one before. Opening a study
 * stops all that runs on another.
 */
export interface FingeringService {
  /** Turns to a study; what is worked out about it is kept until the next is opened. */
  open(study: StudyData): void;
  firstOptions(onProgress: (progress: Progress) => void): Promise<Searched<readonly FirstOption[]>>;
  /** The best fingering by a leaning that keeps to what an option and the passage ask. Each question is answered, in order. */
  around(asked: Around): Promise<Searched<Fingering>>;
  /** What would lower the strain at a note of an option; see core/fingering/explain/lowering. */
  lowering(asked: Around, digits: Fingering, note: NoteId): Promise<Searched<readonly Lowering[]>>;
  /** Fingerings judged at another tempo. Whatever tempo is asked for last stops what ran before. */
  atTempo(tempo: number, digits: readonly Fingering[]): Promise<Searched<readonly Judged[]>>;
  /** The best fingering at another tempo, by the balanced leaning, with its judgement there. */
  bestAtTempo(tempo: number, wishes: FingeringWishes): Promise<Searched<Judged>>;
  /**
   * Strain of fingerings against tempo, at every whole tempo of a range; a newer question stops it, and stop.
   * @param onProgress told the tempi done
   */
  sweep(
    digits: readonly Fingering[],
    range: readonly [number, number],
    onProgress: (done: number) => void,
  ): Promise<Searched<Sweep>>;
  /**
   * The hand plan of a fingering at a tempo. A newer question of the same name stops what ran before.
   * @param name what it is for, so that two may be worked out side by side
   * @param tune where the tune lies
   */
  plan(name: string, digits: Fingering, tempo: number, tune: Tune | null): Promise<Searched<Plan>>;
  /** What the plans of fingerings come to against tempo; a newer question stops it. */
  motionSweep(digits: readonly Fingering[], range: readonly [number, number]): Promise<Searched<MotionSweep>>;
  /** What it costs that returns keep their figure's fingers, and that they do not. */
  keepingPrices(digits: Fingering): Promise<readonly KeepingPrice[]>;
  /** A stretch that the player has chosen, with the places that answer it. */
  chosenFigure(notes: readonly NoteId[]): Promise<Figure | null>;
  /** The figures of the study that return. */
  figures(): Promise<readonly Figure[]>;
  /** What it costs that figures keep their fingers. */
  tyingPrice(tying: Tying): Promise<TyingPrice>;
  /** The passage shared out anew between the hands. */
  share(wishes: SharingWishes, onProgress: (progress: Progress) => void): Promise<Searched<Shared>>;
  /** Every remedy for what a hand cannot hold when a note is struck; see core/reach. */
  remedies(note: NoteId, allows: Allowances): Promise<readonly RemedyTried[]>;
  /** Nothing of a kind is wanted any more. */
  stop(kind: Stoppable): void;
}

/** What takes long enough to be stopped by the player. */
export type Stoppable = "first options" | "sharing" | "sweep";

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

function playedAt(study: Study, tempo: number): Study {
  return { ...study, manner: { ...study.manner, tempo } };
}

function* judging(study: Study, tempo: number, digits: readonly Fingering[]): Generator<void, readonly Judged[]> {
  const at = playedAt(study, tempo);
  const judged: Judged[] = [];
  for (const each of digits) {
    judged.push(judge(at, each));
    yield;
  }
  return judged;
}

/** A step before it begins, so that of many plans asked for at once only the last is made. */
function* planning(study: Study, digits: Fingering): Generator<void, Plan> {
  yield;
  return planOf(study, digits);
}

/** ms a search runs before it looks whether it is still wanted. */
const STRETCH = 8;

/**
 * @param breathe lets waiting messages in: a macrotask in the worker
 * @param clock ms, for measuring a stretch
 */
export function fingeringService(breathe: () => Promise<void>, clock: () => number): FingeringService {
  const tickets = new Map<string, number>();
  const takeTicket = (kind: string): number => {
    const ticket = (tickets.get(kind) ?? 0) + 1;
    tickets.set(kind, ticket);
    return ticket;
  };
  let opened: Opened | null = null;
  /** Ends when everything asked in order up to now is answered. */
  let last: Promise<unknown> = Promise.resolve();
  /** Runs to its end unless it is no longer wanted, letting waiting questions in on the way. */
  async function run<Step, T>(
    steps: Generator<Step, T>,
    isWanted: () => boolean,
    onProgress: (step: Step) => void = () => undefined,
  ): Promise<Searched<T>> {
    let since = clock();
    for (;;) {
      if (!isWanted()) return { stopped: true };
      const step = steps.next();
      if (step.done) return { stopped: false, found: step.value };
      if (clock() - since < STRETCH) continue;
      onProgress(step.value);
      await breathe();
      since = clock();
    }
  }
  /** Answered after everything asked in order before it; stopped only where another study is opened. */
  function inOrder<T>(begin: () => Generator<unknown, T>): Promise<Searched<T>> {
    const on = opened;
    const answer = last.then(() => (opened === on ? run(begin(), () => opened === on) : ({ stopped: true } as const)));
    last = answer.catch(() => undefined);
    return answer;
  }
  /** Runs beside what else is asked for; a newer question of the same kind stops it, and another study. */
  async function latest<Step, T>(
    kind: string,
    steps: Generator<Step, T>,
    onProgress?: (step: Step) => void,
  ): Promise<Searched<T>> {
    const [on, ticket] = [opened, takeTicket(kind)];
    // What was asked meanwhile is let in first, so that of many questions at once only the last is worked out.
    await breathe();
    return run(steps, () => opened === on && tickets.get(kind) === ticket, onProgress);
  }
  /** Runs beside what else is asked for, and stops nothing. */
  async function aside<T>(steps: Generator<unknown, T>): Promise<T> {
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
      opened = openedOn(studyOf(data));
    },
    firstOptions: (onProgress) => latest("first options", findingFirstOptions(atHand().study), onProgress),
    async around({ leaning: id, wishes, pins, ruledOut }) {
      const leaning = leaningById(id);
      const { by, figures } = atHand();
      const answer = await inOrder(() => {
        const { study, lattices } = by(leaning);
        const conditions = optionConditions(study, leaning, wishes, { pins, ruledOut }, figures());
        return fingering(lattices, conditions, 1);
      });
      return answer.stopped ? answer : { stopped: false, found: answer.found[0]! };
    },
    async lowering({ leaning: id, wishes, ...asked }, digits, note) {
      const { study: plain, by, figures } = atHand();
      const leaning = leaningById(id);
      const { study, lattices } = by(leaning);
      const conditions = optionConditions(study, leaning, wishes, asked, figures());
      return latest("lowering", loweringAt(plain, lattices, conditions, judge(plain, digits), note));
    },
    atTempo: (tempo, digits) => latest("tempo", judging(atHand().study, tempo, digits)),
    async bestAtTempo(tempo, wishes) {
      const leaning = leaningById("balanced");
      const study = leaningStudy(playedAt(atHand().study, tempo), leaning);
      const conditions = optionConditions(study, leaning, wishes, { pins: {}, ruledOut: {} }, atHand().figures());
      const answer = await latest("best", fingering(latticesOf(study), conditions, 1));
      return answer.stopped ? answer : { stopped: false, found: judge(study, answer.found[0]!) };
    },
    sweep: (digits, [low, high], onProgress) =>
      latest("sweep", sweeping(atHand().study, digits, low, high), onProgress),
    plan: (name, digits, tempo, tune) =>
      latest(`plan ${name}`, planning(withTune(playedAt(atHand().study, tempo), { tune }), digits)),
    motionSweep: (digits, [low, high]) => latest("motion", motionSweeping(atHand().study, digits, low, high)),
    keepingPrices(digits) {
      const { study, figures, by } = atHand();
      return aside(keepingPrices(study, by(leaningById("balanced")).lattices, figures(), digits));
    },
    chosenFigure: (notes) => Promise.resolve(chosenFigure(atHand().study, notes)),
    figures: () => Promise.resolve(atHand().figures()),
    tyingPrice: (tying) => aside(atHand().pricing(tying)),
    share: (wishes, onProgress) => latest("sharing", sharing(asWritten(atHand().study), wishes), onProgress),
    remedies: (note, allows) => Promise.resolve(remediesFor(atHand().study, note, allows)),
    stop(kind) {
      takeTicket(kind);
    },
  };
}
