"use client";

import { Keyboard as KeyboardIcon, Pencil } from "lucide-react";
import Link from "next/link";
import { useMemo } from "react";
import { placeText } from "@/core/passage/place";
import { handsAsked } from "@/core/passage/passage";
import type { PassageData } from "@/server/types";
import { KeepingState } from "../keeping/keeping-state";
import { worstOf } from "../keeping/sending";
import { PlayerStrip } from "../playing/player-strip";
import { Score } from "../score/score";
import { Button, buttonLook } from "../ui/button";
import { ExportLinks } from "./export-links";
import { OnPaper } from "./on-paper";
import { BenchAside } from "./bench-aside";
import { PlanMotion } from "../plan/motion/plan-motion";
import { KeyboardView, keyRange } from "./hands/keyboard-view";
import { KeysDialog } from "./gestures/keys-dialog";
import { OutdatedDialog } from "../passage-in-hand/outdated-dialog";
import { PassageTitle } from "../passage-in-hand/passage-title";
import { StretchBar } from "./gestures/stretch-bar";
import { TempoSlider } from "./tempo-slider";
import { TouchPad } from "./gestures/touch-pad";
import { useLanesInSight } from "./use-lanes-in-sight";
import { useBench, type BenchInHand } from "./use-bench";
import { HaltButton, HaltNotice } from "../trials/halt";
import { ViewMenu } from "../passage-in-hand/view-settings";
import type { TakeOnKeys } from "../trials/use-take-on-keys";
import { stepText } from "../passage-in-hand/words";

/** What do I play with what: the passage, its options, the causes, and the hands on the keys. */
export function Bench({ data }: { data: PassageData }) {
  const bench = useBench(data);
  const { held, view, inView, touched, note } = bench;
  return (
    <div>
      <Title bench={bench} />
      <HaltNotice halt={bench.trials.halt} />
      <div className="grid gap-6 lg:grid-cols-[1fr_19rem] print:block">
        <Desk bench={bench} />
        <div className="lg:sticky lg:top-(--header) lg:-mx-1 lg:-mt-1 lg:max-h-[calc(100dvh-var(--header))] lg:overflow-y-auto lg:overscroll-contain lg:px-1 lg:pt-1 lg:pb-4 print:hidden">
          <BenchAside bench={bench} />
        </div>
      </div>
      {held.outdated && (
        <OutdatedDialog outdated={held.outdated} notes={view.asked} onTheirs={held.keepTheirs} onMine={held.keepMine} />
      )}
      {touched && note && inView && (
        <TouchPad
          option={bench.inForce ?? inView.option}
          note={note}
          at={touched}
          onPin={(finger) => bench.does.pin(finger)}
          onClose={() => bench.setTouched(null)}
        />
      )}
      <KeysDialog open={bench.keysShown} onOpen={bench.showKeys} />
    </div>
  );
}

function Title({ bench }: { bench: BenchInHand }) {
  const { data, held, inView, settings, setSettings, showKeys, planShown } = bench;
  const asked = {
    ...(settings.digits === "doubt" ? { digits: "doubt" } : {}),
    ...(planShown.aside === "plan" ? { signs: settings.signs } : {}),
  };
  return (
    <PassageTitle data={data}>
      <KeepingState
        keeping={worstOf([held.keeping, bench.inHand.keeping, planShown.inHand.keeping, bench.trials.keeping])}
      />
      <ViewMenu settings={settings} twoHands={handsAsked(data.study.passage).length > 1} onSettings={setSettings} />
      <Button aria-label="Keys" title="Keys (?)" className="w-11 px-0!" onClick={() => showKeys(true)}>
        <KeyboardIcon size={16} aria-hidden />
      </Button>
      {data.piece.entered && (
        <Link href={`/enter/${data.piece.id}`} className={buttonLook()}>
          <Pencil size={16} aria-hidden /> Notes
        </Link>
      )}
      <Link href={`/practice/${data.id}`} className={buttonLook()}>
        Practice
      </Link>
      <Link href={`/side-by-side/${data.id}`} className={buttonLook()}>
        Side by side
      </Link>
      <Link href={`/sheet/${data.id}${inView ? `?option=${inView.option.name}` : ""}`} className={buttonLook()}>
        Sheet
      </Link>
      {inView && <ExportLinks option={inView.option} asked={asked} />}
    </PassageTitle>
  );
}

/** The score, and under it the tempo, the sound and the hands on the keys. */
function Desk({ bench }: { bench: BenchInHand }) {
  const { data, view, shown, note, at, player, settings } = bench;
  const hearing = player.playing ? player.at : (bench.trials.onKeys?.at ?? null);
  const showing = hearing ?? at;
  const step = view.steps[showing];
  const place = step ? placeText(step.bar, step.beat) : "";
  const selected = hearing === null ? note : (step?.notes.at(-1) ?? note);
  const cover = useLanesInSight(lanesDrawn(bench));
  return (
    <div className="min-w-0 [--covered-below:min(20rem,44dvh)]">
      <div
        role="group"
        aria-label="Score. Arrows walk through the notes, digits 1 to 5 pin a finger, with Shift they rule it out, Backspace lifts a pin, question mark shows all keys."
      >
        <Score
          music={data.music}
          beginning={data.beginning}
          zoom={settings.zoom}
          oneLine={settings.layout === "line"}
          {...drawnOn(bench)}
          selected={selected}
          onSelect={bench.chooseNote}
        />
      </div>
      <p aria-live="polite" className="sr-only">
        {step && shown && hearing === null && stepText(step, view.study.passage, shown.option.digits)}
      </p>
      <OnPaper bench={bench} />
      {shown && step && (
        <div ref={cover} className="sticky bottom-0 z-20 border-t border-hairline bg-paper pt-1 print:hidden">
          <Controls bench={bench} place={place} />
          <Hands bench={bench} showing={showing} place={place} />
        </div>
      )}
    </div>
  );
}

/** What hangs from the score: the digits and strain, and with them the plan's lanes or a take's. */
function drawnOn(bench: BenchInHand) {
  const { drawn, planShown, trials, stretch } = bench;
  const instead = trials.drawn ?? (planShown.drawn ? { plan: planShown.drawn } : null);
  return {
    ...drawn,
    ...(instead ? { ...instead, lanes: lanesOf(bench), figures: [] } : {}),
    stretch: trials.snip.snip ? trials.snip.notes : stretch.set,
  };
}

/** What stands in the lanes, so far as they should be seen whole; null where it does not matter. */
function lanesDrawn({ planShown, trials }: BenchInHand): string | null {
  if (planShown.moves && planShown.plan) return `motion ${planShown.beside?.name ?? ""}`;
  const { told, other } = trials.trial;
  return trials.drawn && told ? `take ${told.id} ${other?.id ?? ""}` : null;
}

/** What is done with the stretch chosen, the sound, the tempo, and slow motion. */
function Controls({ bench, place }: { bench: BenchInHand; place: string }) {
  const { player, stretch, settings, setSettings, tempo, does, planShown } = bench;
  return (
    <>
      {stretch.notes.length > 0 && (
        <StretchBar
          count={stretch.notes.length}
          tied={bench.isTied}
          onPin={does.pinStretch}
          onTie={does.tie}
          onClear={does.clearStretch}
          onLeave={stretch.clear}
        />
      )}
      <div className="flex flex-wrap items-center gap-x-4">
        <PlayerStrip
          playing={player.playing}
          what={stretch.notes.length > 0 ? "over the stretch chosen" : `from ${place}`}
          settings={settings}
          onSettings={(next) => setSettings({ ...settings, ...next })}
          onToggle={does.hear}
        />
        <TempoSlider {...tempo} />
        {planShown.aside === "plan" && (
          <Button aria-pressed={planShown.moves} onClick={() => planShown.setMoves(!planShown.moves)}>
            Slow motion
          </Button>
        )}
        <HaltButton halt={bench.trials.halt} />
      </div>
    </>
  );
}

interface HandsProps {
  readonly bench: BenchInHand;
  readonly showing: number;
  readonly place: string;
}

/** The hands on the keys: at the onset in hand, with the music, or in slow motion. */
function Hands({ bench: { view, shown, player, planShown, trials, note }, showing, place }: HandsProps) {
  const clock = useMemo(() => (player.playing ? player.clock : null), [player.playing, player.clock]);
  if (!shown) return null;
  const { plan, moves } = planShown;
  const { name, id, digits } = shown.option;
  if (moves && plan)
    return (
      <PlanMotion
        key={id}
        name={name}
        plan={plan}
        shown={planShown}
        others={view.all.flatMap(({ option }) => (option.id === id ? [] : [option.name]))}
        instrument={view.study.instrument}
        keys={keyRange(view.study)}
      />
    );
  const take = player.playing ? null : trials.onKeys;
  return (
    <KeyboardView
      study={view.study}
      steps={view.steps}
      at={showing}
      fingering={take?.digits ?? digits}
      label={`Hands on the keys at ${place}`}
      times={player.times}
      clock={take?.clock ?? clock}
      plan={player.playing ? plan : (take?.plan ?? null)}
      low={planShown.aside !== "fingers"}
      tried={player.playing ? null : planShown.triedAt(note)}
      struck={take && struckOf(take, view, showing)}
    />
  );
}

/** Keys that were struck at a step of a take, beside those that the passage asks for. */
function struckOf(take: TakeOnKeys, { steps, study }: BenchInHand["view"], at: number) {
  const step = steps[at];
  const keys = step && take.struckAt(step);
  if (!step || !keys) return null;
  const asked = study.passage.notes.flatMap(({ id, pitch }) => (step.notes.includes(id) ? [pitch] : []));
  return { keys, asked };
}

/** Beside the plan's lanes the strain of the option in view is enough. */
function lanesOf({ drawn, shown }: BenchInHand): BenchInHand["drawn"]["lanes"] {
  return drawn.lanes.filter(({ name }) => name === shown?.option.name);
}
