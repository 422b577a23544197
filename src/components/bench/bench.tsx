"use client";

import { Download } from "lucide-react";
import Link from "next/link";
import { useMemo, useState } from "react";
import { positionsOf } from "@/core/fingering/positions";
import type { Judged } from "@/core/fingering/study";
import type { Finger } from "@/core/hand/finger";
import type { NoteId } from "@/core/passage/note";
import type { PassageData } from "@/server/types";
import { Score } from "../score/score";
import { strainText } from "../strain";
import { buttonLook } from "../ui/button";
import { Build } from "../build/build";
import { useFigures } from "../build/use-figures";
import { usePassageWishes } from "../build/use-wishes";
import { AddFingering } from "./add-fingering";
import { Against } from "./against";
import { BeyondReach } from "./beyond-reach";
import { Causes } from "./causes";
import { FingerPad } from "./finger-pad";
import { KeepingState } from "./keeping-state";
import { KeyboardView } from "./keyboard-view";
import { OptionCards, type OptionJudged } from "./option-cards";
import { OutdatedDialog } from "./outdated-dialog";
import { PassageTitle } from "./passage-title";
import { RestingNotice } from "./resting-notice";
import { useBenchKeys } from "./use-bench-keys";
import { useFirstOptions } from "./use-first-options";
import { useOptions, type OptionsInHand } from "./use-options";
import { useLanes, useNoteInHand, useOptionInView, usePassageView, type PassageView } from "./use-view";
import { capital, stepOf, stepText } from "./words";
import { placeText } from "@/core/passage/place";
import { useSameStudy, useStudyAtHand } from "./use-study-at-hand";
import { WorkingOut } from "./working-out";

const NONE: ReadonlySet<NoteId> = new Set();

/** What do I play with what: the passage, its options, the causes, and the hands on the keys. */
export function Bench({ data: given }: { data: PassageData }) {
  const study = useSameStudy(given.study);
  const data = useMemo(() => ({ ...given, study }), [given, study]);
  const [wishes, showWishes] = useState(data.wishes);
  useStudyAtHand(study);
  const held = useOptions(data, wishes);
  const inHand = usePassageWishes(data, wishes, showWishes, held.setOptions);
  const first = useFirstOptions(data, held.setOptions);
  const view = usePassageView(study, held.options);
  const { option: inView, choose: chooseOption } = useOptionInView(view.all, "option", 0);
  const { note, at, choose: chooseNote } = useNoteInHand(view, undefined);
  const lanes = useLanes(view, inView);
  const layers = useMemo(() => (inView ? [layerOf(inView)] : []), [inView]);
  const figures = useFigures(view.study, wishes.tying);
  const positions = useMemo(
    () => (inView ? positionsOf(view.study, inView.option.digits) : undefined),
    [view.study, inView],
  );
  const { pin, ruleOut, walk } = useGestures(view, held, inView, note, at, chooseNote);
  const step = view.steps[at];
  const place = step ? placeText(step.bar, step.beat) : "";

  return (
    <div>
      <PassageTitle data={data}>
        <KeepingState keeping={held.keeping} />
        <Link href={`/side-by-side/${data.id}`} className={buttonLook()}>
          Side by side
        </Link>
        {inView && (
          <a href={`/options/${inView.option.id}/export`} download className={buttonLook()}>
            <Download size={16} aria-hidden /> Export {inView.option.name}
          </a>
        )}
      </PassageTitle>
      <div className="grid gap-6 lg:grid-cols-[1fr_19rem]">
        <div className="min-w-0 [--covered-below:min(17rem,36dvh)]">
          <div
            role="group"
            aria-label="Score. Arrows walk through the notes, digits 1 to 5 pin a finger, with Shift they rule it out, Backspace lifts a pin."
          >
            <Score
              music={data.music}
              notes={view.notes}
              steps={view.steps}
              layers={layers}
              lanes={lanes}
              remedies={data.study.passage.remedies}
              taken={data.study.passage.taken}
              positions={positions}
              selected={note}
              onSelect={chooseNote}
            />
          </div>
          <p aria-live="polite" className="sr-only">
            {step && inView && stepText(step, view.study.passage, inView.option.digits)}
          </p>
          {inView && step && (
            <div className="sticky bottom-0 border-t border-hairline bg-paper pt-2">
              <KeyboardView
                study={view.study}
                steps={view.steps}
                at={at}
                fingering={inView.option.digits}
                label={`Hands on the keys at ${place}`}
              />
            </div>
          )}
        </div>
        <aside className="flex flex-col gap-4">
          <WorkingOut working={first.working} onStop={first.stop} onBegin={first.begin} />
          {inView && (
            <>
              <RestingNotice
                passageId={data.id}
                study={view.study}
                rests={data.rests}
                fingering={inView.option.digits}
                onOptions={held.setOptions}
              />
              <OptionCards
                all={view.all}
                chosen={inView.option.name}
                taken={data.verdicts.at(-1)?.fingeringId ?? null}
                peakPlace={(judged) => peakPlace(view, judged)}
                onChoose={chooseOption}
              />
              <Against study={view.study} all={view.all} inView={inView} />
              <AddFingering
                passageId={data.id}
                names={view.all.map((o) => o.option.name)}
                onAdded={(options, name) => {
                  held.setOptions(options);
                  chooseOption(name);
                }}
              />
              {note && <FingerPad option={inView.option} note={note} onPin={pin} onRuleOut={ruleOut} onWalk={walk} />}
              <Causes all={view.all} note={note} title={capital(place)} />
              <BeyondReach
                passageId={data.id}
                study={view.study}
                note={note}
                allows={data.allows}
                onOptions={(options) => {
                  held.setOptions(options);
                  // A remedy may change which note comes first: the one in hand stays so.
                  if (note) chooseNote(note);
                }}
              />
              <Build
                study={view.study}
                option={inView.option}
                positions={positions!}
                figures={figures}
                inHand={inHand}
                notes={view.notes}
                note={note}
                onGo={chooseNote}
              />
            </>
          )}
        </aside>
      </div>
      {held.outdated && (
        <OutdatedDialog outdated={held.outdated} notes={view.asked} onTheirs={held.keepTheirs} onMine={held.keepMine} />
      )}
    </div>
  );
}

/** What the keys and the finger pad do with the note and the option in hand. */
function useGestures(
  { steps }: PassageView,
  held: OptionsInHand,
  inView: OptionJudged | undefined,
  note: NoteId | null,
  at: number,
  choose: (note: NoteId) => void,
) {
  const pin = (finger: Finger | null): void => {
    if (inView && note) held.pin(inView.option.id, note, finger);
  };
  const ruleOut = (finger: Finger): void => {
    if (inView && note) held.ruleOut(inView.option.id, note, finger);
  };
  const walk = (way: "undo" | "redo"): void => {
    if (inView) held.walk(inView.option.id, way);
  };
  useBenchKeys({
    step: (by) => {
      const next = steps[Math.min(steps.length - 1, Math.max(0, at + by))];
      if (next) choose(next.notes.at(-1)!);
    },
    within: (by) => {
      const chord = steps[at]?.notes ?? [];
      const next = chord[chord.indexOf(note!) + by];
      if (next) choose(next);
    },
    pin,
    ruleOut,
    lift: () => pin(null),
    walk,
  });
  return { pin, ruleOut, walk };
}

function layerOf({ option }: OptionJudged) {
  return { name: option.name, fingering: option.digits, pins: option.pins, marked: NONE };
}

function peakPlace({ steps }: PassageView, { peak }: Judged): string {
  if (!peak) return "";
  const { bar, beat } = steps[stepOf(steps, peak.note)]!;
  return `peak ${strainText(peak.strain)}, ${placeText(bar, beat)}`;
}
