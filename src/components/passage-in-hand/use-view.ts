"use client";

import { parseAsString, useQueryState } from "nuqs";
import { useCallback, useMemo } from "react";
import { differences, type Fingering } from "@/core/fingering/study/fingering";
import { stepsOf, type Step } from "@/core/fingering/study/steps";
import { judge, notesAsked, type Judged, type Study } from "@/core/fingering/study/study";
import { studyOf, type StudyData } from "@/core/fingering/study/study-data";
import type { Note, NoteId } from "@/core/passage/note";
import type { OptionData } from "@/server/types";
import type { OptionJudged } from "./option-cards";
import { stepOf } from "./words";

/** A passage as every page that shows it sees it. */
export interface PassageView {
  readonly study: Study;
  readonly steps: readonly Step[];
  /** Notes that the hands asked for are to play, in order, by name; and whole, with those left out by choice. */
  readonly asked: readonly NoteId[];
  readonly notes: readonly Note[];
  readonly all: readonly OptionJudged[];
}

export function usePassageView(data: StudyData, options: readonly OptionData[]): PassageView {
  const study = useMemo(() => studyOf(data), [data]);
  const steps = useMemo(() => stepsOf(study), [study]);
  const asked = useMemo(() => notesAsked(study), [study]);
  const notes = useMemo(
    () => study.passage.notes.filter((n) => asked.includes(n.id) || study.passage.remedies?.[n.id]),
    [study, asked],
  );
  const judge = useMemo(() => judgeOf(study), [study]);
  const all = useMemo(() => options.map((option) => ({ option, judged: judge(option.digits) })), [options, judge]);
  return useMemo(() => ({ study, steps, asked, notes, all }), [study, steps, asked, notes, all]);
}

/** Judges on one study; options that did not change are not judged again. */
function judgeOf(study: Study): (digits: Fingering) => Judged {
  const known = new WeakMap<Fingering, Judged>();
  return (digits) => {
    const judged = known.get(digits) ?? judge(study, digits);
    known.set(digits, judged);
    return judged;
  };
}

/**
 * The note in hand, kept in the address. Where that is left out by choice, another of its moment; `fallback` where the
 * address names none of the passage.
 */
export function useNoteInHand(
  { asked, notes, steps }: PassageView,
  fallback: NoteId | undefined,
): { note: NoteId | null; at: number; choose: (note: NoteId) => void } {
  const [named, setNamed] = useQueryState("note", parseAsString.withDefault(""));
  const found = asked.includes(named as NoteId) ? (named as NoteId) : besideIt(named, asked, notes);
  const note = found ?? fallback ?? asked[0] ?? null;
  const choose = useCallback((next: NoteId) => void setNamed(next), [setNamed]);
  return { note, at: note ? stepOf(steps, note) : -1, choose };
}

/** Another note of the moment of one that is not played. */
function besideIt(named: string, asked: readonly NoteId[], notes: readonly Note[]): NoteId | undefined {
  const missing = notes.find((n) => n.id === named);
  return missing && notes.find((n) => n.onset === missing.onset && asked.includes(n.id))?.id;
}

/** The option in view, by the letter in the address. */
export function useOptionInView(
  all: readonly OptionJudged[],
  key: string,
  fallback: number,
): { option: OptionJudged | undefined; choose: (name: string) => void } {
  const [named, setNamed] = useQueryState(key, parseAsString.withDefault(""));
  return { option: all.find((o) => o.option.name === named) ?? all[fallback], choose: (name) => void setNamed(name) };
}

/** Strain lanes of all options, with the digits of those not in view where they differ. */
export function useLanes({ all, asked }: PassageView, inView: OptionJudged | undefined) {
  return useMemo(
    () =>
      all.map(({ option, judged }) => ({
        name: option.name,
        judged,
        written: new Set(
          inView && option.id !== inView.option.id ? differences(asked, option.digits, inView.option.digits) : [],
        ),
      })),
    [all, asked, inView],
  );
}
