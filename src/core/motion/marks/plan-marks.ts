import { mergedList, mergedRecord, mergedValue } from "../../merge";
import type { NoteId } from "../../passage/note";
import type { Tune } from "../../passage/passage";
import type { Study } from "../../fingering/study/study";
import type { HandPlan } from "../plan/hand-plan";
import { touchChosen, type Source, type StrokeEnd, type StrokeStart } from "../hand/touch";
import type { Watched } from "../hand/watch";

/** A sign that the player has put on the score. */
export interface OwnSign {
  /** Its own name within the passage. */
  readonly id: string;
  /** By its id in signs/, or "words". */
  readonly sign: string;
  readonly note: NoteId;
  readonly to: NoteId | null;
  readonly above: boolean;
  /** The player's words; null where the sign says it. */
  readonly words: string | null;
}

/** A touch that the player has chosen for a group, by its first note. */
interface TouchMark {
  readonly source: Source;
  readonly start: StrokeStart;
  readonly end: StrokeEnd;
}

/** What the player has made of the plan of a passage. */
export interface PlanMarks {
  readonly signs: readonly OwnSign[];
  /** Keys of signs of the plan that were taken away. */
  readonly hidden: readonly string[];
  readonly touches: Readonly<Record<NoteId, TouchMark>>;
  /** What an eye has seen. */
  readonly watched: readonly Watched[];
  /** Where the tune lies; null where nothing is marked. */
  readonly tune: Tune | null;
  /** Notes at which the player takes time freely: no take is judged there by how even it is. */
  readonly free: readonly NoteId[];
  /** Which shape the player's school has passages learnt in first. */
  readonly school: "curled-first" | "as-played";
}

export const NO_PLAN_MARKS: PlanMarks = {
  signs: [],
  hidden: [],
  touches: {},
  watched: [],
  tune: null,
  free: [],
  school: "as-played",
};

/** A hand's plan with the touches that the player chose. */
export function withTouches(hand: HandPlan, { touches }: PlanMarks): HandPlan {
  return {
    ...hand,
    impulses: hand.impulses.map((impulse) => {
      const first = hand.frames[impulse.from]?.notes[0];
      const mark = first && touches[first];
      return mark ? { ...impulse, touch: touchChosen(mark.source, mark.start, mark.end, "as you chose") } : impulse;
    }),
  };
}

/** Onsets in a row that keep one shape, with the reason. */
export interface ShapeRun {
  readonly from: number;
  readonly to: number;
  readonly shape: HandPlan["frames"][number]["shape"];
  readonly why: string;
  /** Whether the school has it learnt with curled fingers first. */
  readonly curledFirst: boolean;
}

/** Stretches of frames (indices from 0, both ends included) in which the hand keeps one shape, each with why; in order, without gaps. */
export function shapeRunsOf({ frames }: HandPlan, { school }: Pick<PlanMarks, "school">): readonly ShapeRun[] {
  const runs: { from: number; to: number; shape: ShapeRun["shape"]; why: string; curledFirst: boolean }[] = [];
  frames.forEach(({ shape, texture }, i) => {
    const last = runs.at(-1);
    if (last?.shape === shape) last.to = i;
    else
      runs.push({
        from: i,
        to: i,
        shape,
        why: texture.why,
        curledFirst: shape === "flat" && school === "curled-first",
      });
  });
  return runs;
}

/** A study with the tune that the player has marked: the plan shows which finger carries it. */
export function withTune(study: Study, { tune }: Pick<PlanMarks, "tune">): Study {
  return tune === null ? study : { ...study, passage: { ...study.passage, tune } };
}

/** Marks whose notes have taken on new names; what speaks of notes that are gone goes too. */
export function renamedMarks(marks: PlanMarks, rename: (note: NoteId) => NoteId | undefined): PlanMarks {
  const { tune } = marks;
  return {
    ...marks,
    signs: marks.signs.flatMap((sign) => {
      const [note, to] = [rename(sign.note), sign.to === null ? null : rename(sign.to)];
      return note === undefined || to === undefined ? [] : [{ ...sign, note, to }];
    }),
    hidden: marks.hidden.flatMap((key) => {
      const [sign, note] = key.split(" ") as [string, NoteId];
      const to = rename(note);
      return to === undefined ? [] : [`${sign} ${to}`];
    }),
    touches: Object.fromEntries(
      (Object.entries(marks.touches) as [NoteId, TouchMark][]).flatMap(([note, touch]) => {
        const to = rename(note);
        return to === undefined ? [] : [[to, touch]];
      }),
    ) as PlanMarks["touches"],
    free: marks.free.flatMap((note) => rename(note) ?? []),
    tune: tune !== null && "notes" in tune ? { notes: tune.notes.flatMap((n) => rename(n) ?? []) } : tune,
  };
}

/**
 * Marks changed in two windows put together, as in core/merge. Signs are told apart by their names, touches by their
 * notes.
 */
export function mergedMarks(before: PlanMarks, mine: PlanMarks, theirs: PlanMarks): PlanMarks {
  const named = ({ signs }: PlanMarks): Readonly<Record<string, OwnSign>> =>
    Object.fromEntries(signs.map((sign) => [sign.id, sign]));
  return {
    signs: Object.values(mergedRecord(named(before), named(mine), named(theirs))),
    hidden: mergedList(before.hidden, mine.hidden, theirs.hidden),
    touches: mergedRecord<TouchMark>(before.touches, mine.touches, theirs.touches),
    watched: mergedList(before.watched, mine.watched, theirs.watched),
    free: mergedList(before.free, mine.free, theirs.free),
    tune: mergedValue(before.tune, mine.tune, theirs.tune),
    school: mergedValue(before.school, mine.school, theirs.school),
  };
}
