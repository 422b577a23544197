"use client";

import { parseAsBoolean, parseAsString, parseAsStringLiteral, useQueryStates } from "nuqs";
import { useCallback, useMemo } from "react";
import type { Step } from "@/core/fingering/study/steps";
import type { Judged } from "@/core/fingering/study/study";
import type { NoteId } from "@/core/passage/note";
import type { Suggested } from "@/core/reach/suggested";
import { signsOf } from "@/core/motion/marks/signs";
import { chosenDrills } from "@/core/practice/choice";
import { sourcesOf } from "@/core/practice/source";
import type { PassageData } from "@/server/types";
import { useDrawn } from "../bench/use-drawn";
import { useFigures } from "../build/use-figures";
import { takenOr } from "../passage-in-hand/taken";
import { useSideOf } from "../passage-in-hand/use-side-of";
import { useSameStudy, useStudyAtHand } from "../passage-in-hand/use-study-at-hand";
import { usePassageView } from "../passage-in-hand/use-view";
import { PLAN_LANES } from "../plan/lanes/lanes";
import { usePlan } from "../plan/use-plan";
import type { PlanDrawn } from "../score/drawn";
import type { PaperId } from "../ui/paper";

const PAPER_IDS = ["a4", "letter"] as const satisfies readonly PaperId[];
export const SIZES = { usual: 1, large: 1.45 } as const;
const SIZE_IDS = ["usual", "large"] as const;

/** What stands in the address of a sheet: so that it is printed by another as it was looked at. */
const ASKED = {
  option: parseAsString.withDefault(""),
  paper: parseAsStringLiteral(PAPER_IDS).withDefault("a4"),
  lies: parseAsBoolean.withDefault(false),
  size: parseAsStringLiteral(SIZE_IDS).withDefault("usual"),
  signs: parseAsBoolean.withDefault(true),
  lanes: parseAsString.withDefault(""),
};

/** Nothing is suggested on paper but what the player has chosen. */
const NOT_SUGGESTED: Suggested = { fingers: {}, remedies: {} };
/** All digits of both hands, whatever the Bench shows. */
const WHOLE = { digits: "all", hands: "both" } as const;
/** Places that are named as the hardest. */
const HARDEST = 3;

/** Everything that stands on a sheet. */
export function useSheet(data: PassageData) {
  const study = useSameStudy(data.study);
  useStudyAtHand(study);
  const view = usePassageView(study, data.options);
  const [asked, ask] = useQueryStates(ASKED);
  const option = data.options.find(({ name }) => name === asked.option) ?? takenOr(data);
  const shown = view.all.find((one) => one.option.id === option?.id);
  const all = useMemo(() => (shown ? [shown] : []), [shown]);
  const figures = useFigures(view.study, data.wishes.tying).figures;
  const drawn = useDrawn(view, all, shown, option, data.wishes, figures, NOT_SUGGESTED, WHOLE);
  const sideOf = useSideOf(view.study.passage);
  const { lanes: laneIds } = asked;
  const wantsPlan = asked.signs || laneIds !== "";
  const plan = usePlan(
    "on paper",
    option?.id,
    wantsPlan ? option?.digits : undefined,
    study.manner.tempo,
    data.planMarks,
    study,
  );
  const { instrument } = view.study;
  const planDrawn = useMemo((): PlanDrawn | undefined => {
    if (!plan) return undefined;
    const wanted = laneIds.split(",");
    return {
      lanes: PLAN_LANES.filter(({ id }) => wanted.includes(id)).map(({ id, label, kind, series }) => ({
        id,
        label,
        kind,
        rows: plan.hands.map((hand) => ({ name: `${hand.side} hand`, series: series(hand, instrument) })),
      })),
      signs: asked.signs ? signsOf(plan, data.planMarks, sideOf, "few") : [],
      onFold: () => undefined,
    };
  }, [plan, laneIds, asked.signs, data.planMarks, sideOf, instrument]);
  const hardest = useMemo(() => (shown ? hardestOf(shown.judged.notes, view.steps) : []), [shown, view.steps]);
  const drills = useMemo(
    () =>
      option && shown
        ? sourcesOf(view.study, option.digits).flatMap((source) => chosenDrills(source, shown.judged))
        : [],
    [option, shown, view.study],
  );
  const verdict = data.verdicts.findLast(({ kind, fingeringId }) => kind === "taken" && fingeringId === option?.id);
  const laneWanted = useCallback((id: string) => laneIds.split(",").includes(id), [laneIds]);
  return {
    ...{ view, asked, ask, option, drawn, hardest, drills, verdict, laneWanted },
    plan: planDrawn,
    /** Whether all that was asked for has been worked out. */
    isWhole: !wantsPlan || plan !== null,
    figures: figures ?? [],
  };
}

export type SheetInHand = ReturnType<typeof useSheet>;

type Notes = Judged["notes"];

/** An onset that strains, and why, in words. */
interface Hard {
  readonly step: Step;
  readonly causes: readonly string[];
}

/** The most strained onsets, each with its first cause in words. */
function hardestOf(notes: Notes, steps: readonly Step[]): readonly Hard[] {
  return steps
    .map((step) => ({ step, worst: [...step.notes].sort((a, b) => strainAt(notes, b) - strainAt(notes, a))[0]! }))
    .filter(({ worst }) => strainAt(notes, worst) > 0)
    .sort((a, b) => strainAt(notes, b.worst) - strainAt(notes, a.worst))
    .slice(0, HARDEST)
    .map(({ step, worst }) => ({ step, causes: notes[worst]!.causes.slice(0, 2).map(({ words }) => words) }));
}

function strainAt(notes: Notes, note: NoteId): number {
  return notes[note]?.strain ?? 0;
}
