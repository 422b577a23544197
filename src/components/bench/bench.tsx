"use client";

import { Download, Redo2, Undo2 } from "lucide-react";
import Link from "next/link";
import { parseAsString, useQueryState } from "nuqs";
import { useMemo } from "react";
import { differences } from "@/core/fingering/fingering";
import { stepsOf } from "@/core/fingering/steps";
import { judge, notesAsked } from "@/core/fingering/study";
import { studyOf } from "@/core/fingering/study-data";
import type { Judged } from "@/core/fingering/study";
import { FINGERS, type Finger } from "@/core/hand/finger";
import type { NoteId } from "@/core/passage/note";
import type { PassageData } from "@/server/types";
import { Score } from "../score/score";
import { strainText } from "../strain";
import { Button, buttonLook } from "../ui/button";
import { Causes } from "./causes";
import { KeepingState } from "./keeping-state";
import { KeyboardView } from "./keyboard-view";
import { OptionCards } from "./option-cards";
import { OutdatedDialog } from "./outdated-dialog";
import { PassageTitle } from "./passage-title";
import { useBenchKeys } from "./use-bench-keys";
import { useFirstOptions } from "./use-first-options";
import { useOptions } from "./use-options";
import { placeText, stepOf, stepText } from "./words";
import { WorkingOut } from "./working-out";

/** What do I play with what: the passage, its options, the causes, and the hands on the keys. */
export function Bench({ data }: { data: PassageData }) {
  const study = useMemo(() => studyOf(data.study), [data.study]);
  const steps = useMemo(() => stepsOf(study), [study]);
  const asked = useMemo(() => notesAsked(study), [study]);
  const notes = useMemo(() => study.passage.notes.filter((n) => asked.includes(n.id)), [study, asked]);
  const held = useOptions(data);
  const { working, stop, begin } = useFirstOptions(data, held.setOptions);
  const [optionName, setOptionName] = useQueryState("option", parseAsString.withDefault("A"));
  const [noteAsked, setNote] = useQueryState("note", parseAsString.withDefault(""));

  const all = useMemo(() => held.options.map((option) => ({ option, judged: judge(study, option.digits) })), [held.options, study]);
  const chosen = all.find((o) => o.option.name === optionName) ?? all[0];
  const selected = (asked.includes(noteAsked as NoteId) ? noteAsked : (asked[0] ?? null)) as NoteId | null;
  const at = selected ? stepOf(steps, selected) : -1;
  const step = steps[at];
  const taken = data.verdicts.at(-1)?.fingeringId ?? null;

  const layers = useMemo(
    () => (chosen ? [{ name: chosen.option.name, fingering: chosen.option.digits, pins: chosen.option.pins, marked: NONE }] : []),
    [chosen],
  );
  const lanes = useMemo(
    () =>
      all.map(({ option, judged }) => ({
        name: option.name,
        judged,
        written: new Set(chosen && option.id !== chosen.option.id ? differences(asked, option.digits, chosen.option.digits) : []),
      })),
    [all, chosen, asked],
  );
  const select = (note: NoteId): void => void setNote(note);
  const pin = (finger: Finger | null): void => {
    if (chosen && selected) held.pin(chosen.option.id, selected, finger);
  };
  const walk = (way: "undo" | "redo"): void => {
    if (chosen) held.walk(chosen.option.id, way);
  };

  useBenchKeys({
    step: (by) => {
      const next = steps[Math.min(steps.length - 1, Math.max(0, at + by))];
      if (next) select(next.notes.at(-1)!);
    },
    within: (by) => {
      const next = step?.notes[step.notes.indexOf(selected!) + by];
      if (next) select(next);
    },
    pin,
    lift: () => pin(null),
    walk,
  });

  return (
    <div>
      <PassageTitle data={data}>
        <KeepingState keeping={held.keeping} />
        <Link href={`/side-by-side/${data.id}`} className={buttonLook()}>
          Side by side
        </Link>
        {chosen && (
          <a href={`/options/${chosen.option.id}/export`} download className={buttonLook()}>
            <Download size={16} aria-hidden /> Export {chosen.option.name}
          </a>
        )}
      </PassageTitle>
      <div className="grid gap-6 lg:grid-cols-[1fr_19rem]">
        <div className="min-w-0">
          <div role="group" aria-label="Score. Arrows walk through the notes, digits 1 to 5 pin a finger, Backspace lifts it.">
            <Score music={data.music} notes={notes} steps={steps} layers={layers} lanes={lanes} selected={selected} onSelect={select} />
          </div>
          <p aria-live="polite" className="sr-only">
            {step && chosen ? stepText(step, study.passage, chosen.option.digits) : ""}
          </p>
          {chosen && step && (
            <div className="sticky bottom-0 border-t border-hairline bg-paper pt-2">
              <KeyboardView study={study} steps={steps} at={at} fingering={chosen.option.digits} label={`Hands on the keys at ${placeText(step.bar, step.beat)}`} />
            </div>
          )}
        </div>
        <aside className="flex flex-col gap-4">
          {working.state !== "idle" && <WorkingOut working={working} onStop={stop} onBegin={begin} />}
          {chosen && (
            <>
              <OptionCards all={all} chosen={chosen.option.id} taken={taken} peakPlace={peakPlace} onChoose={(id) => void setOptionName(all.find((o) => o.option.id === id)!.option.name)} />
              <FingerPad
                pinned={selected ? (chosen.option.pins[selected] ?? null) : null}
                finger={selected ? (chosen.option.digits[selected] ?? null) : null}
                undoable={chosen.option.undoable > 0}
                redoable={chosen.option.redoable > 0}
                onPin={pin}
                onWalk={walk}
              />
              <Causes all={all} note={selected} title={step ? capital(placeText(step.bar, step.beat)) : ""} />
            </>
          )}
        </aside>
      </div>
      {held.outdated && <OutdatedDialog outdated={held.outdated} notes={asked} onTheirs={held.keepTheirs} onMine={held.keepMine} />}
    </div>
  );

  function peakPlace(judged: Judged): string {
    if (!judged.peak) return "";
    const place = steps[stepOf(steps, judged.peak.note)]!;
    return `peak ${strainText(judged.peak.strain)}, ${placeText(place.bar, place.beat)}`;
  }
}

const NONE: ReadonlySet<NoteId> = new Set();

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

interface PadProps {
  readonly pinned: Finger | null;
  readonly finger: Finger | null;
  readonly undoable: boolean;
  readonly redoable: boolean;
  readonly onPin: (finger: Finger | null) => void;
  readonly onWalk: (way: "undo" | "redo") => void;
}

/** Five fingers for touch, with lifting, undo and redo beside them. */
function FingerPad({ pinned, finger, undoable, redoable, onPin, onWalk }: PadProps) {
  return (
    <div className="flex flex-wrap gap-1" role="group" aria-label="Finger for the chosen note">
      {FINGERS.map((f) => (
        <Button key={f} onClick={() => onPin(f)} aria-pressed={pinned === f} aria-label={`Pin finger ${f}`} className={`w-11 px-0! font-serif text-lg! ${finger === f ? "border-ink!" : ""} ${pinned === f ? "font-extrabold underline" : ""}`}>
          {f}
        </Button>
      ))}
      <Button onClick={() => onPin(null)} disabled={pinned === null} className="px-3!">
        Lift pin
      </Button>
      <Button onClick={() => onWalk("undo")} disabled={!undoable} className="px-3!">
        <Undo2 size={16} aria-hidden /> Undo
      </Button>
      <Button onClick={() => onWalk("redo")} disabled={!redoable} className="px-3!">
        <Redo2 size={16} aria-hidden /> Redo
      </Button>
    </div>
  );
}
