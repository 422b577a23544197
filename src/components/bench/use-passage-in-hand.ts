"use client";

import { useDeferredValue, useMemo, useState } from "react";
import type { OptionData, PassageData } from "@/server/types";
import { useFigures } from "../build/use-figures";
import { usePassageWishes } from "../build/use-wishes";
import type { OptionJudged } from "../passage-in-hand/option-cards";
import { useFirstOptions } from "../passage-in-hand/use-first-options";
import { useOptions } from "../passage-in-hand/options/use-options";
import { useSameStudy, useStudyAtHand } from "../passage-in-hand/use-study-at-hand";
import { useTempo } from "../passage-in-hand/use-tempo";
import { useNoteInHand, useOptionInView, usePassageView } from "../passage-in-hand/use-view";

/** The passage that the Bench works on: what is asked of it, its options at the tempo in hand, and the note in hand. */
export function usePassageInHand(given: PassageData) {
  const same = useSameStudy(given.study);
  const data = useMemo(() => ({ ...given, study: same }), [given, same]);
  const [wishes, showWishes] = useState(data.wishes);
  useStudyAtHand(same);
  const held = useOptions(data, wishes);
  const inHand = usePassageWishes(data, wishes, showWishes, held.setOptions);
  const first = useFirstOptions(data, held.setOptions);
  // Digits follow a gesture at once; what is judged and drawn of them comes right after.
  const settledOptions = useDeferredValue(held.options);
  const view = usePassageView(same, settledOptions);
  const tempo = useTempo(view.study, view.all, same.manner.tempo, wishes);
  const { option: inView, choose: chooseOption } = useOptionInView(tempo.all, "option", 0);
  const [previewed, preview] = useState<string | null>(null);
  const shown = tempo.all.find((o) => o.option.name === previewed) ?? inView;
  const now = (judged: OptionJudged | undefined): OptionData | undefined =>
    held.options.find((o) => o.id === judged?.option.id) ?? judged?.option;
  const { note, at, choose } = useNoteInHand(view, undefined);
  const figures = useFigures(view.study, wishes.tying);
  return {
    data,
    wishes,
    held,
    inHand,
    first,
    view,
    tempo,
    inView,
    /** The option in force, and the one shown, as they stand after the newest gesture. */
    inForce: now(inView),
    shownNow: now(shown),
    shown,
    chooseOption,
    previewed,
    preview,
    note,
    at,
    choose,
    figures,
  };
}

export type PassageInHand = ReturnType<typeof usePassageInHand>;
