"use client";

import { counted } from "@/core/counted";
import { Circle, Square } from "lucide-react";
import Link from "next/link";
import { useState } from "react";
import type { Step } from "@/core/fingering/study/steps";
import type { NoteId } from "@/core/passage/note";
import type { Part } from "@/core/trials/breaking-parts";
import type { Felt } from "@/core/trials/felt";
import type { OptionData, TakeData } from "@/server/types";
import { Button, buttonLook } from "../ui/button";
import { placeText } from "@/core/passage/place";
import { CleanRuleForm } from "./clean-rule-form";
import { isOwn } from "./own-takes";
import { SnipsAB } from "./snips-ab";
import { SnipPanel } from "./snip-panel";
import { DayPlayed } from "./day-played";
import { DelayCheck } from "./delay-check";
import { saveMidi } from "./save-midi";
import { FeltForm } from "./felt-form";
import { TakeFigures } from "./take-figures";
import { MapPanel } from "./map-panel";
import { TakeList } from "./take-list";
import { TriedTable } from "./tried-table";
import type { TakeTold } from "./use-trial";
import type { TrialInHand } from "./use-trial-in-hand";

interface Props {
  readonly trials: TrialInHand;
  readonly options: readonly OptionData[];
  readonly option: OptionData | undefined;
  /** Bars that are chosen on the score; null where none are. */
  readonly bars: Felt["bars"];
  readonly steps: readonly Step[];
  readonly onGo: (note: NoteId) => void;
  readonly parts: readonly Part[];
  /** Notes that are chosen on the score, or the one in hand. */
  readonly chosen: readonly NoteId[];
  /** Notes at which time is free. */
  readonly free: readonly NoteId[];
  readonly onFree: (free: readonly NoteId[]) => void;
}

/** Trying the option in view: what is listened to, the take that is looked at, and the takes there are. */
export function TrialsAside(props: Props) {
  const { trials, option, bars, steps, chosen } = props;
  const { trial, takes, snip } = trials;
  const isIdle = trial.phase === "idle";
  return (
    <aside className="flex flex-col gap-4">
      <TryIt trials={trials} option={option} />
      <Source trials={trials} />
      <SnipsAB trials={trials} isHalted={trials.halt.halt !== null} />
      {isIdle && <SnipPanel snip={snip} chosen={chosen} place={placesOf(snip.notes, steps)} />}
      {trial.told && <TakeSeen trials={trials} told={trial.told} bars={bars} />}
      {takes.takes && takes.takes.length > 0 && <TakesThere {...props} all={takes.takes} />}
      {isIdle && <Settings {...props} />}
      {takes.takes?.length === 0 && <p className="text-sm text-soft">No takes of this passage yet.</p>}
    </aside>
  );
}

/** What came of the takes there are, and each of them. */
function TakesThere({
  trials,
  all,
  options,
  option,
  steps,
  onGo,
  parts,
  chosen,
}: Props & { readonly all: readonly TakeData[] }) {
  const { trial, map } = trials;
  return (
    <>
      <TriedTable takes={all} options={options} parts={parts} />
      {map && (
        <MapPanel
          map={map}
          steps={steps}
          isDrawn={trials.isMapped}
          onDraw={trials.setMapped}
          onGo={onGo}
          note={chosen.at(-1) ?? null}
          takes={all.filter((take) => isOwn(take) && take.fingeringId === option?.id)}
          onLook={trial.look}
        />
      )}
      <TakeList
        takes={all}
        options={options}
        looked={trial.told?.id ?? null}
        against={trial.other?.id ?? null}
        onLook={trial.look}
        onAgainst={trial.against}
      />
    </>
  );
}

/** What is the player's own to say: where time is free, how much a day holds, what is clean. */
function Settings({ trials, chosen, free, onFree }: Props) {
  const { takes, halt, playerId } = trials;
  return (
    <div className="flex flex-col">
      {chosen.length > 0 && <FreePlaces chosen={chosen} free={free} onFree={onFree} />}
      <DayPlayed playerId={playerId} counted={`${takes.takes?.[0]?.id ?? ""} ${halt.halt?.since ?? ""}`} />
      <CleanRuleForm rule={trials.rule} onRule={trials.setRule} />
    </div>
  );
}

interface FreeProps {
  readonly chosen: readonly NoteId[];
  readonly free: readonly NoteId[];
  readonly onFree: (free: readonly NoteId[]) => void;
}

/** Where the player takes time freely: no take is judged there by how even it is. */
function FreePlaces({ chosen, free, onFree }: FreeProps) {
  const areFree = chosen.every((note) => free.includes(note));
  return (
    <Button
      look="quiet"
      className="self-start px-0! underline"
      aria-pressed={areFree}
      onClick={() =>
        onFree(areFree ? free.filter((note) => !chosen.includes(note)) : [...new Set([...free, ...chosen])])
      }
    >
      {areFree ? "In time here again" : "Time is free here"}
    </Button>
  );
}

/** "bar 2, beat 1 to bar 3, beat 2". */
function placesOf(notes: ReadonlySet<NoteId>, steps: readonly Step[]): string {
  const own = steps.filter((step) => step.notes.some((note) => notes.has(note)));
  const [first, last] = [own[0], own.at(-1)];
  return first && last ? `${placeText(first.bar, first.beat)} to ${placeText(last.bar, last.beat)}` : "";
}

interface SeenProps extends Pick<Props, "trials" | "bars"> {
  readonly told: TakeTold;
}

/** The take that is looked at: what to look at first, its figures, and what was felt. */
function TakeSeen({ trials: { trial, takes, hear, hearing }, told, bars }: SeenProps) {
  const [said, setSaid] = useState<string | null>(null);
  const felt = takes.takes?.find(({ id }) => id === told.id)?.felt ?? null;
  const isSimulated = told.take.source === "simulated piano";
  return (
    <>
      <section aria-label="The take">
        <h2 className="font-serif text-lg">The take</h2>
        <p role="status" className="mt-1 font-medium">
          {told.report.first}
        </p>
        {isSimulated && <p className="text-sm text-soft">Played by the simulated piano, not by a hand.</p>}
        <TakeFigures report={told.report} other={trial.other?.report ?? null} />
        <div className="mt-2 flex flex-wrap gap-2">
          <Button onClick={() => hear(false)}>{hearing ? "Stop" : "Hear the take"}</Button>
          {!hearing && <Button onClick={() => hear(true)}>With the score</Button>}
          <Button onClick={() => void saveMidi(told.take)}>As a MIDI file</Button>
          <a href={`/takes/${told.id}/score`} download className={buttonLook()}>
            As a score
          </a>
          <Button look="quiet" onClick={trial.leave}>
            Put away
          </Button>
        </div>
        {felt && <p className="mt-2 text-sm">Tension felt: {felt.amount} of 10.</p>}
      </section>
      {!isSimulated && !felt && said !== told.id && (
        <FeltForm
          key={told.id}
          bars={bars}
          onSay={(now) => {
            takes.feel(told.id, now);
            setSaid(told.id);
          }}
          onSkip={() => setSaid(told.id)}
        />
      )}
    </>
  );
}

/** The one button that arms, and ends. */
function TryIt({ trials: { trial, halt }, option }: Pick<Props, "trials" | "option">) {
  const isIdle = trial.phase === "idle";
  const label = isIdle ? "Try it" : trial.phase === "reading" ? "Reading…" : "End it";
  return (
    <Button
      onClick={trial.toggle}
      disabled={!option || trial.phase === "reading" || halt.halt !== null}
      title={`${label} (Y)`}
    >
      {isIdle ? <Circle size={14} aria-hidden /> : <Square size={14} aria-hidden />} {label}
    </Button>
  );
}

function Source({ trials: { trial, halt, passageId } }: Pick<Props, "trials">) {
  const { phase, count, piano, complaint, connect } = trial;
  return (
    <div className="text-sm">
      <p aria-live="polite">
        {phase === "armed"
          ? piano
            ? "Play when you like: it begins with your first key."
            : "The simulated piano begins."
          : phase === "playing"
            ? counted(count, "key")
            : piano
              ? `Listening to ${piano.name}.`
              : "Without a piano the simulated one plays, as these hands would; its takes are kept apart from yours."}
      </p>
      {phase === "idle" && (
        <div className="flex flex-wrap gap-x-4">
          {piano === null && (
            <Button look="quiet" className="px-0! underline" onClick={connect}>
              Connect a MIDI piano
            </Button>
          )}
          <DelayCheck piano={piano} />
          <Link href={`/film/${passageId}`} className="inline-flex min-h-11 items-center underline hover:text-velvet">
            Film desk
          </Link>
        </div>
      )}
      {complaint && <p className="text-soft">{complaint}</p>}
      {phase === "idle" && halt.halt === null && (
        <label className="inline-block min-h-11 cursor-pointer py-2.5 underline focus-within:text-velvet">
          Read a performance from a MIDI file
          <input
            type="file"
            accept=".mid,.midi,audio/midi"
            className="sr-only"
            onChange={({ target }) => {
              const [file] = target.files ?? [];
              if (file) trial.readFile(file);
              target.value = "";
            }}
          />
        </label>
      )}
    </div>
  );
}
