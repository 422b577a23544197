"use client";

import { parseAsStringLiteral, useQueryState } from "nuqs";
import { useCallback, useMemo, useState } from "react";
import type { Plan } from "@/core/motion/plan/plan";
import { signsOf } from "@/core/motion/marks/signs";
import type { Side } from "@/core/hand/finger";
import type { Pose } from "@/core/hand/pose";
import type { Instrument } from "@/core/keyboard/instrument";
import type { NoteId } from "@/core/passage/note";
import type { OptionData, PassageData } from "@/server/types";
import type { OptionJudged } from "../passage-in-hand/option-cards";
import type { ViewSettings } from "../passage-in-hand/view-settings";
import type { PlanDrawn } from "../score/drawn";
import type { LaneId } from "../score/plan/lane";
import { PLAN_LANES } from "./lanes/lanes";
import { usePlan } from "./use-plan";
import { usePlanMarks } from "./use-plan-marks";

const ASIDES = ["fingers", "plan", "trials"] as const;
export type Aside = (typeof ASIDES)[number];

interface Asked {
  readonly data: PassageData;
  readonly instrument: Instrument;
  readonly all: readonly OptionJudged[];
  readonly shown: OptionJudged | undefined;
  readonly tempo: number;
  readonly playing: boolean;
  readonly sideOf: (note: NoteId) => Side;
  readonly settings: ViewSettings;
  readonly setSettings: (settings: ViewSettings) => void;
  readonly onOptions: (options: readonly OptionData[]) => void;
}

/** The hand plan of the option in view, what is drawn of it, and the one shown in step with it. */
export function usePlanShown(asked: Asked) {
  const { data, instrument, all, shown, tempo, playing, sideOf, settings, setSettings, onOptions } = asked;
  const [aside, setAside] = useQueryState("aside", parseAsStringLiteral(ASIDES).withDefault("fingers"));
  const isShown = aside === "plan";
  const inHand = usePlanMarks(data.id, data.planMarks, onOptions);
  const { marks } = inHand;
  const plan = usePlan(
    "in view",
    shown?.option.id,
    isShown || playing ? shown?.option.digits : undefined,
    tempo,
    marks,
    data.study,
  );
  const [besideName, setBeside] = useState<string | null>(null);
  const besideOption = all.find((o) => o.option.name === besideName && o.option.id !== shown?.option.id);
  const beside = usePlan(
    "in step",
    besideOption?.option.id,
    isShown ? besideOption?.option.digits : undefined,
    tempo,
    marks,
    data.study,
  );
  const [moves, setMoves] = useState(false);
  const [tried, setTried] = useState<Tried | null>(null);
  const fold = useCallback(
    (lane: LaneId) => setSettings({ ...settings, planLanes: settings.planLanes.filter((l) => l !== lane) }),
    [settings, setSettings],
  );
  const drawn = useMemo(
    () => (plan && isShown ? drawnOf(plan, marks, sideOf, instrument, settings, fold) : undefined),
    [plan, isShown, marks, sideOf, instrument, settings, fold],
  );
  return {
    aside,
    setAside: (next: Aside) => void setAside(next),
    inHand,
    plan,
    beside: beside && besideOption ? { name: besideOption.option.name, plan: beside } : null,
    setBeside,
    /** Whether the hands are shown in slow motion. */
    moves: moves && isShown,
    setMoves,
    drawn,
    tried,
    setTried,
    /** How the hand would lie by what is being tried at a note; null where nothing is. */
    triedAt: (note: NoteId | null): Pose | null =>
      tried && isShown && note && tried.notes.includes(note) ? tried.pose : null,
    toggleLane: (lane: LaneId) =>
      settings.planLanes.includes(lane)
        ? fold(lane)
        : setSettings({ ...settings, planLanes: [...settings.planLanes, lane] }),
  };
}

/** A small change that is held against the hand as it lies. */
export interface Tried {
  /** Notes of its onset. */
  readonly notes: readonly NoteId[];
  readonly id: string;
  readonly pose: Pose;
}

export type PlanShown = ReturnType<typeof usePlanShown>;

function drawnOf(
  plan: Plan,
  marks: Parameters<typeof signsOf>[1],
  sideOf: (note: NoteId) => Side,
  instrument: Instrument,
  { planLanes, hands, signs }: ViewSettings,
  onFold: (lane: LaneId) => void,
): PlanDrawn {
  const seen = plan.hands.filter(({ side }) => hands === "both" || side === hands);
  return {
    lanes: PLAN_LANES.filter(({ id }) => planLanes.includes(id)).map(({ id, label, kind, series }) => ({
      id,
      label,
      kind,
      rows: seen.map((hand) => ({ name: `${hand.side} hand`, series: series(hand, instrument) })),
    })),
    signs: signsOf({ ...plan, hands: seen }, marks, sideOf, signs),
    onFold,
  };
}
