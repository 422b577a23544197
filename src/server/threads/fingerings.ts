import { drain } from "@/core/drain";
import { figuresOf } from "@/core/figures/find";
import type { Figure } from "@/core/figures/figure";
import type { RuledOut } from "@/core/fingering/search/conditions";
import type { Fingering, Pins } from "@/core/fingering/study/fingering";
import { findingFirstOptions } from "@/core/options/first-options";
import type { FirstOption } from "@/core/options/first-options";
import { keepsTo } from "@/core/options/asked/keeps-to";
import { leaningStudy } from "@/core/options/leaning-study";
import { leaningById, type LeaningId } from "@/core/options/leanings";
import { optionConditions, type OptionAsked } from "@/core/options/asked/option-conditions";
import type { Lattice } from "@/core/fingering/search/lattice";
import { fingering, handsPlaying, latticesOf, notesAsked, type Study } from "@/core/fingering/study/study";
import { studyOf, type StudyData } from "@/core/fingering/study/study-data";
import type { FingeringWishes } from "@/core/options/asked/wishes";
import type { Finger } from "@/core/hand/finger";
import type { NoteId } from "@/core/passage/note";
import { handOf, handsAsked, playedNotes } from "@/core/passage/passage";

/** Searches that the server needs. All of them run in a thread of their own; see pool.ts. */

/** What a search keeps to, of one option. */
interface OptionToFinger {
  readonly id: string;
  readonly origin: "solved" | "printed" | "typed";
  readonly leaning: LeaningId;
  readonly pins: Pins;
  readonly ruledOut: RuledOut;
  readonly digits: Fingering;
}

export interface FollowAsked {
  readonly study: StudyData;
  readonly wishes: FingeringWishes;
  readonly options: readonly OptionToFinger[];
  /**
   * What has changed. "asked": what is asked of fingerings, or how fast; those that the engine made are worked out anew.
   * "nothing" that bears on digits.
   * "music": what is played, or by which fingers; every option keeps to its digits wherever it can.
   */
  readonly after: "asked" | "music" | "nothing";
  /** Notes whose digits are free, whatever they were. */
  readonly freed: readonly NoteId[];
}

/**
 * The digits that options come to after something has changed about them: pins, rule-outs, leaning and wishes hold in
 * every case. Options that need not change are left out.
 */
export function followed({
  study: given,
  wishes,
  options,
  after,
  freed,
}: FollowAsked): Readonly<Record<string, Fingering>> {
  if (after === "nothing") return {};
  const study = studyOf(given);
  const searches = searchesOn(study, wishes);
  const firsts = firstsOf(options);
  const found: Record<string, Fingering> = {};
  for (const option of options) {
    const isFirst = firsts.has(option);
    const isAnew = after === "asked" && option.origin === "solved";
    if (after === "asked" && !isFirst && freed.length === 0 && (!isAnew || searches.keeps(option))) continue;
    const held = isAnew && (isFirst || !searches.keeps(option)) ? {} : standing(study, option, new Set(freed));
    const best = searches.around({ ...option, pins: { ...held, ...option.pins } });
    if (best) found[option.id] = { ...ofRestingHands(study, option.digits), ...best };
  }
  return found;
}

/** Of each leaning the first option that it found: its best. What keeps its digits is nobody's best. */
function firstsOf(options: readonly OptionToFinger[]): ReadonlySet<OptionToFinger> {
  const firsts = new Map<LeaningId, OptionToFinger>();
  for (const option of options)
    if (option.origin === "solved" && !leaningById(option.leaning).keepsDigits && !firsts.has(option.leaning))
      firsts.set(option.leaning, option);
  return new Set(firsts.values());
}

export interface AroundAsked {
  readonly study: StudyData;
  readonly wishes: FingeringWishes;
  readonly leaning: LeaningId;
  readonly pins: Pins;
  readonly ruledOut: RuledOut;
}

/** The best fingering that keeps to what is asked. */
export function around({ study, wishes, ...asked }: AroundAsked): Fingering {
  return searchesOn(studyOf(study), wishes).around(asked) ?? {};
}

/** The options that a passage opens with. */
export function firstOptions({ study }: { readonly study: StudyData }): readonly FirstOption[] {
  return drain(findingFirstOptions(studyOf(study)));
}

type Asked = Pick<OptionToFinger, "leaning"> & OptionAsked;

/** Searches on one study, with what several of them need worked out once. */
function searchesOn(study: Study, wishes: FingeringWishes) {
  const kept = new Map<LeaningId, { readonly leant: Study; readonly lattices: readonly Lattice[] }>();
  let figures: readonly Figure[] | null = null;
  const by = (id: LeaningId) => {
    let found = kept.get(id);
    if (!found) {
      const leant = leaningStudy(study, leaningById(id));
      kept.set(id, (found = { leant, lattices: latticesOf(leant) }));
    }
    return found;
  };
  const conditions = ({ leaning, ...asked }: Asked) =>
    optionConditions(by(leaning).leant, leaningById(leaning), wishes, asked, (figures ??= figuresOf(study)));
  return {
    around: (asked: Asked): Fingering | null =>
      drain(fingering(by(asked.leaning).lattices, conditions(asked), 1))[0] ?? null,
    keeps: (option: OptionToFinger): boolean => keepsTo(by(option.leaning).leant, conditions(option), option.digits),
  };
}

/** Digits of a hand that is asked for and out of use wait for it, untouched. */
function ofRestingHands(study: Study, digits: Fingering): Fingering {
  const playing = handsPlaying(study);
  const resting = handsAsked(study.passage).filter((side) => !playing.includes(side));
  const waiting = playedNotes(study.passage).filter((note) => resting.includes(handOf(note, study.passage)));
  return Object.fromEntries(waiting.flatMap(({ id }) => (id in digits ? [[id, digits[id]!]] : [])));
}

/** The digits that can still be kept to: of notes that are played and not free, by fingers neither resting nor ruled out. */
function standing(study: Study, { digits, ruledOut }: OptionToFinger, freed: ReadonlySet<NoteId>): Pins {
  const hands = new Map(playedNotes(study.passage).map((note) => [note.id, study.hands[handOf(note, study.passage)]]));
  const asked = new Set(notesAsked(study));
  return Object.fromEntries(
    (Object.entries(digits) as [NoteId, Finger | null][]).filter(
      ([note, finger]) =>
        finger !== null &&
        asked.has(note) &&
        !freed.has(note) &&
        !hands.get(note)!.resting.includes(finger) &&
        !(ruledOut[note] ?? []).includes(finger),
    ),
  ) as Pins;
}
