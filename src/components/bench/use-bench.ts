"use client";

import { useCallback, useState } from "react";
import type { NoteId } from "@/core/passage/note";
import type { PassageData } from "@/server/types";
import { usePlanShown, type PlanShown } from "../plan/use-plan-shown";
import { usePlayer } from "../playing/use-player";
import type { Chosen } from "../score/drawn";
import { useTrialInHand } from "../trials/use-trial-in-hand";
import { useBenchKeys } from "./gestures/use-bench-keys";
import { usePassageGestures } from "./gestures/use-passage-gestures";
import { useStretch } from "./gestures/use-stretch";
import { useSideOf } from "../passage-in-hand/use-side-of";
import { useSuggested } from "./remedies/use-suggested";
import { useDrawn } from "./use-drawn";
import { usePassageInHand, type PassageInHand } from "./use-passage-in-hand";
import { useViewSettings, zoomed, type ViewSettings } from "../passage-in-hand/view-settings";

/** Everything the Bench holds: the passage in hand, how it is looked at, heard and planned, and what gestures do. */
export function useBench(given: PassageData) {
  const passage = usePassageInHand(given);
  const { data, held, view, tempo, shown, note, at, choose } = passage;
  const [settings, setSettings] = useViewSettings();
  const stretch = useStretch(view, note);
  const sideOf = useSideOf(view.study.passage);
  const player = usePlayer(view.study, view.steps, tempo.tempo, settings);
  const { shownNow, wishes, figures } = passage;
  const suggested = useSuggested(view.study, shownNow?.digits, data.allows);
  const drawn = useDrawn(view, tempo.all, shown, shownNow, wishes, figures.figures, suggested, settings);
  const planShown = usePlanShown({
    data,
    instrument: view.study.instrument,
    all: tempo.all,
    shown,
    tempo: tempo.tempo,
    playing: player.playing,
    sideOf,
    settings,
    setSettings,
    onOptions: held.setOptions,
  });
  const trials = useTrialInHand(trialsOf(passage, planShown, settings));
  const { does, isTied } = usePassageGestures(passage, stretch, player, sideOf);
  const [touched, setTouched] = useState<Chosen["touchedAt"]>(null);
  const [keysShown, showKeys] = useState(false);
  const { extend, clear } = stretch;
  const chooseNote = useCallback(
    (next: NoteId, how?: Chosen) => {
      if (how?.extends)
        return extend(
          view.steps.findIndex((s) => s.notes.includes(next)),
          how.from,
        );
      clear();
      choose(next);
      setTouched(how?.touchedAt ?? null);
    },
    [choose, extend, clear, view.steps],
  );
  const hasStretch = stretch.notes.length > 0;
  useBenchKeys({
    ...does,
    step(by) {
      const next = view.steps[Math.min(view.steps.length - 1, Math.max(0, at + by))];
      if (next) chooseNote(next.notes.findLast((id) => note && sideOf(id) === sideOf(note)) ?? next.notes.at(-1)!);
    },
    stretch(by) {
      const end = !hasStretch ? at : stretch.from < at ? stretch.from : stretch.to;
      stretch.extend(end + by);
    },
    within(by) {
      const chord = view.steps[at]?.notes ?? [];
      const next = chord[chord.indexOf(note!) + by];
      if (next) chooseNote(next);
    },
    lift: () => (hasStretch ? does.clearStretch() : does.pin(null)),
    leaveStretch() {
      clear();
      setTouched(null);
    },
    zoom: (by) => setSettings({ ...settings, zoom: zoomed(settings.zoom, by) }),
    tryIt() {
      planShown.setAside("trials");
      trials.trial.toggle();
    },
    showKeys: () => showKeys(true),
  });
  const looks = { settings, setSettings, drawn, sideOf, keysShown, showKeys };
  return { ...passage, ...looks, stretch, player, planShown, trials, does, isTied, chooseNote, touched, setTouched };
}

/** What trials of the option in force go by. */
function trialsOf(
  { data, view, tempo, inForce, inView }: PassageInHand,
  { aside, inHand }: PlanShown,
  settings: ViewSettings,
): Parameters<typeof useTrialInHand>[0] {
  return {
    ...{ passageId: data.id, player: data.player, halted: data.halt, cleanRule: data.cleanRule, given: data.study },
    ...{ study: view.study, steps: view.steps, tempo: tempo.tempo, sounded: settings, option: inForce },
    ...{ isShown: aside === "trials", judged: inView?.judged, marks: inHand.marks },
  };
}

export type BenchInHand = ReturnType<typeof useBench>;
