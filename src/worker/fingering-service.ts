import type { Figure } from "@/core/figures/figure";
import type { Tying } from "@/core/figures/tying";
import { leaningStudy } from "@/core/options/leaning-study";
import { leaningById, type LeaningId } from "@/core/options/leanings";
import { optionConditions, type OptionAsked } from "@/core/options/asked/option-conditions";
import { sharing, type Shared } from "@/core/options/sharing/sharing";
import type { SharingWishes } from "@/core/options/sharing/wishes";
import type { TyingPrice } from "@/core/options/asked/tying-price";
import type { FingeringWishes } from "@/core/options/asked/wishes";
import { findingFirstOptions, type FirstOption } from "@/core/options/first-options";
import type { Fingering } from "@/core/fingering/study/fingering";
import type { Progress } from "@/core/fingering/search/search";
import type { NoteId } from "@/core/passage/note";
import type { Allowances } from "@/core/reach/allowances";
import { remediesFor, type RemedyTried } from "@/core/reach/remedies-for";
import { suggesting, type Suggested } from "@/core/reach/suggested";
import { studyOf, type StudyData } from "@/core/fingering/study/study-data";
import { fingering, judge, latticesOf, type Judged, type Study } from "@/core/fingering/study/study";
import { loweringAt, type Lowering } from "@/core/fingering/explain/lowering";
import { sweeping, type Sweep } from "@/core/fingering/explain/sweep";
import { motionSweeping, type MotionSweep } from "@/core/motion/plan/motion-sweep";
import { planOf, type Plan } from "@/core/motion/plan/plan";
import { withTune } from "@/core/motion/marks/plan-marks";
import type { Tune } from "@/core/passage/passage";
import { chosenFigure } from "@/core/figures/chosen";
import { keepingPrices, type KeepingPrice } from "@/core/figures/keeping-price";
import type { CleanRule } from "@/core/trials/clean";
import { heardOf } from "@/core/trials/heard";
import type { Snip } from "@/core/trials/snip";
import { reportOf, type TakeReport } from "@/core/trials/report";
import { playSimulated } from "@/core/trials/simulated/simulated-piano";
import type { Take } from "@/core/trials/take";
import { wording } from "@/formats/issue";
import { readMidi } from "@/formats/midi/read-midi";
import { writeTake } from "@/formats/midi/write-midi";
import { openedOn, type Opened } from "./opened";
import { questions, type Searched } from "./questions";

/** What an option and its passage ask of a search. */
interface Around extends OptionAsked {
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
  /** What the best remedies make of the notes that a fingering leaves to no finger; a newer question stops it. */
  suggested(digits: Fingering, allows: Allowances): Promise<Searched<Suggested>>;
  /** A take of the study, played with these digits, told. */
  heard(
    digits: Fingering,
    take: Take,
    by: { readonly free: readonly NoteId[]; readonly rule: CleanRule },
  ): Promise<TakeReport>;
  /** A performance in a Standard MIDI File, or a sentence that says why there is none. */
  fromMidi(bytes: Uint8Array): Promise<Pick<Take, "keys" | "pedal"> | string>;
  /** A take as a Standard MIDI File. */
  asMidi(take: Pick<Take, "keys" | "pedal">): Promise<Uint8Array>;
  /** What the simulated piano plays of the study with a fingering at a tempo; the same seed plays the same. */
  simulated(digits: Fingering, tempo: number, seed: number, snip: Snip | null): Promise<Take>;
  /** Nothing of a kind is wanted any more. */
  stop(kind: Stoppable): void;
}

/** What takes long enough to be stopped by the player. */
type Stoppable = "first options" | "sharing" | "sweep";

/** Sharing out begins from the hands as written, whatever was taken before. */
function asWritten(study: Study): Study {
  return { ...study, passage: { ...study.passage, taken: {} } };
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

/**
 * @param breathe lets waiting messages in: a macrotask in the worker
 * @param clock ms, for measuring a stretch
 */
export function fingeringService(breathe: () => Promise<void>, clock: () => number): FingeringService {
  let opened: Opened | null = null;
  const { inOrder, latest, aside, drop } = questions(breathe, clock, () => opened);
  function atHand() {
    if (opened === null) throw new Error("No study has been opened.");
    return opened;
  }
  return {
    open(data) {
      opened = openedOn(studyOf(data));
    },
    firstOptions: (onProgress) => latest("first options", findingFirstOptions(atHand().study), onProgress),
    async around({ leaning: id, wishes, ...asked }) {
      const leaning = leaningById(id);
      const { by, figures } = atHand();
      const answer = await inOrder(() => {
        const { study, lattices } = by(leaning);
        const conditions = optionConditions(study, leaning, wishes, asked, figures());
        return fingering(lattices, conditions, 1);
      });
      return answer.stopped ? answer : { stopped: false, found: answer.found[0]! };
    },
    async lowering({ leaning: id, wishes, ...asked }, digits, note) {
      const { study: plain, by, figures } = atHand();
      const leaning = leaningById(id);
      const { study, lattices } = by(leaning);
      const conditions = optionConditions(study, leaning, wishes, { ...asked, digits }, figures());
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
    suggested: (digits, allows) => latest("suggested", suggesting(atHand().study, digits, allows)),
    heard: (digits, take, { free, rule }) =>
      Promise.resolve(
        reportOf(heardOf(playedAt(atHand().study, take.tempo), digits, take, new Set(free), atHand().figures()), rule),
      ),
    fromMidi(bytes) {
      const read = readMidi(bytes);
      return Promise.resolve(read.ok ? read.value : read.issues.map(wording).join(" "));
    },
    asMidi: (take) => Promise.resolve(writeTake(take)),
    simulated: (digits, tempo, seed, snip) =>
      Promise.resolve(playSimulated(atHand().study, digits, { tempo, seed, snip }).take),
    stop: drop,
  };
}
