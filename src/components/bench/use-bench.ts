"use client";

import { useCallback, useDeferredValue, useMemo, useState } from "react";
import { toast } from "sonner";
import type { Finger } from "@/core/hand/finger";
import type { NoteId } from "@/core/passage/note";
import type { HandsTaken } from "@/core/passage/passage";
import type { OptionData, PassageData } from "@/server/types";
import { useFigures } from "../build/use-figures";
import { usePassageWishes } from "../build/use-wishes";
import { usePlanShown } from "../plan/use-plan-shown";
import { usePlayer } from "../playing/use-player";
import type { Chosen } from "../score/drawn";
import type { OptionJudged } from "../passage-in-hand/option-cards";
import { useBenchKeys } from "./gestures/use-bench-keys";
import { useFirstOptions } from "../passage-in-hand/use-first-options";
import { useLowering } from "../passage-in-hand/use-lowering";
import { useOptions } from "../passage-in-hand/use-options";
import { useStretch } from "./gestures/use-stretch";
import { useSameStudy, useStudyAtHand } from "../passage-in-hand/use-study-at-hand";
import { useTempo } from "../passage-in-hand/use-tempo";
import { useTie } from "./gestures/use-tie";
import { useNoteInHand, useOptionInView, usePassageView } from "../passage-in-hand/use-view";
import { useDrawn, useSideOf } from "./use-drawn";
import { useViewSettings, zoomed } from "./view-settings";

/** Everything the Bench holds: the passage, its options, the note and the tempo in hand, and what gestures do. */
export function useBench(given: PassageData) {
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
  const [settings, setSettings] = useViewSettings();
  const stretch = useStretch(view, note);
  const figures = useFigures(view.study, wishes.tying);
  const sideOf = useSideOf(view.study.passage);
  const player = usePlayer(view.study, view.steps, tempo.tempo, settings);
  const drawn = useDrawn(view, tempo.all, shown, now(shown), wishes, figures.figures, settings);
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
  const lowering = useLowering(view.study, inView?.option, wishes, note);
  const tie = useTie(figures.figures, view.notes, inHand);
  const [touched, setTouched] = useState<Chosen["touchedAt"]>(null);
  const [keysShown, showKeys] = useState(false);
  const { extend, clear } = stretch;
  const chooseNote = useCallback(
    (next: NoteId, how?: Chosen) => {
      if (how?.extends) return extend(view.steps.findIndex((s) => s.notes.includes(next)));
      clear();
      choose(next);
      setTouched(how?.touchedAt ?? null);
    },
    [choose, extend, clear, view.steps],
  );
  const optionId = inView?.option.id;
  const hasStretch = stretch.notes.length > 0;
  const does = {
    pin(finger: Finger | null, on: NoteId | null = note): void {
      if (optionId && on) held.pin(optionId, on, finger);
    },
    ruleOut(finger: Finger): void {
      if (optionId && note) held.ruleOut(optionId, note, finger);
    },
    walk(way: "undo" | "redo"): void {
      if (optionId) held.walk(optionId, way);
    },
    pinStretch(): void {
      if (optionId && hasStretch) held.pinStretch(optionId, stretch.notes);
    },
    clearStretch(): void {
      if (optionId && hasStretch) held.clearStretch(optionId, stretch.notes);
    },
    tie(): void {
      if (note) tie.toggle(stretch.notes, note);
    },
    hear(): void {
      if (hasStretch) player.toggle(stretch.from, stretch.to);
      else player.toggle(Math.max(0, at), view.steps.length - 1);
    },
    giveOver(): void {
      const notes = hasStretch ? stretch.notes : note ? [note] : [];
      const before = inHand.taken;
      const after = givenOver(before, notes, sideOf);
      const other = notes[0] && sideOf(notes[0]) === "right" ? "left" : "right";
      void inHand.take(after);
      toast(notes.some((id) => id in after) ? `The ${other} hand takes it.` : "As written again.", {
        action: { label: "Undo", onClick: () => inHand.takeBackTaken({ before, after }) },
      });
    },
  };
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
      stretch.clear();
      setTouched(null);
    },
    zoom: (by) => setSettings({ ...settings, zoom: zoomed(settings.zoom, by) }),
    showKeys: () => showKeys(true),
  });
  return {
    data,
    held,
    inHand,
    first,
    view,
    tempo,
    inView,
    /** The option in force as it stands after the newest gesture. */
    inForce: now(inView),
    shown,
    chooseOption,
    previewed,
    preview,
    note,
    at,
    chooseNote,
    settings,
    setSettings,
    stretch,
    figures,
    player,
    drawn,
    planShown,
    sideOf,
    lowering,
    isTied: note !== null && tie.tieWith(stretch.notes[0] ?? note) !== undefined,
    touched,
    setTouched,
    keysShown,
    showKeys,
    does,
  };
}

export type BenchInHand = ReturnType<typeof useBench>;

/** Notes go over to the other hand than plays them now; those that are taken already go back. */
function givenOver(
  taken: HandsTaken,
  notes: readonly NoteId[],
  sideOf: (note: NoteId) => "right" | "left",
): HandsTaken {
  const isTaken = notes.some((id) => id in taken);
  const rest = Object.fromEntries(Object.entries(taken).filter(([id]) => !notes.includes(id as NoteId))) as HandsTaken;
  if (isTaken) return rest;
  return { ...rest, ...Object.fromEntries(notes.map((id) => [id, sideOf(id) === "right" ? "left" : "right"])) };
}
