"use client";

import { useState } from "react";
import { toast } from "sonner";
import { FINGERS, fingerName, type Side } from "@/core/hand/finger";
import type { PairMeasured, Spans } from "@/core/hand/measured";
import { PAIRS, pairName, type PairName } from "@/core/hand/pair";
import { intervalHeld, openingOfInterval, WHITE_INTERVALS } from "@/core/keyboard/interval";
import type { Instrument } from "@/core/keyboard/instrument";
import { measure } from "@/server/actions";
import type { MeasurementData } from "@/server/types";
import { useAsk } from "../keeping/ask";
import { Button } from "../ui/button";
import { dayText } from "./dates";
import { FIGURES, shown } from "./fields";
import { changesSince } from "./changes";
import type { HandDraft } from "./use-hand-draft";
import { newId } from "../new-id";

export const HAND_NAMES: Readonly<Record<Side, string>> = { right: "Right hand", left: "Left hand" };
const FIGURE_NAMES = { comfortable: "Comfortable", widest: "Widest, no force" } as const;

interface Props {
  readonly playerId: string;
  readonly draft: HandDraft;
  readonly history: readonly MeasurementData[];
  readonly instrument: Instrument;
  readonly inIntervals: boolean;
  readonly today: string;
}

/** One hand's figures by pair: typed in mm or chosen as intervals, estimated where nothing is said. */
export function HandForm({ playerId, draft, history, instrument, inIntervals, today }: Props) {
  const { side, problems, spans } = draft;
  const before = history[1];
  const changes = history[0] && before ? changesSince(before.measured, history[0].measured) : null;
  return (
    <section aria-label={HAND_NAMES[side]}>
      <div className="flex flex-wrap items-baseline justify-between gap-x-3">
        <h2 className="font-serif text-2xl">{HAND_NAMES[side]}</h2>
        <label className="flex items-center gap-2 text-sm">
          Span on a ruler
          <MmInput name="rulerSpan" label={`${HAND_NAMES[side]}, span on a ruler, mm`} draft={draft} hint="" /> mm
        </label>
      </div>
      <p className="text-sm text-soft">
        {history[0] ? `Measured ${dayText(history[0].measuredOn)}.` : "Not measured yet: a middle hand is assumed."}
        {before && changes?.span !== undefined && ` ${signed(changes.span)} since ${dayText(before.measuredOn)}.`}
      </p>
      <table className="mt-1 w-full text-sm">
        <thead>
          <tr className="border-b border-ink text-left">
            <th scope="col" className="py-1 font-medium">
              Fingers
            </th>
            {FIGURES.map((figure) => (
              <th key={figure} scope="col" className="font-medium">
                {FIGURE_NAMES[figure]}
              </th>
            ))}
            <th scope="col" className="text-right font-medium">
              Change
            </th>
          </tr>
        </thead>
        <tbody>
          {PAIRS.map(([a, b]) => {
            const name = pairName(a, b);
            return (
              <tr key={name} className="border-b border-hairline">
                <th scope="row" className="py-0.5 text-left font-normal">
                  {a} and {b}
                </th>
                {FIGURES.map((figure) => (
                  <td key={figure}>
                    <PairFigure
                      draft={draft}
                      name={name}
                      figure={figure}
                      spans={spans[name]}
                      instrument={instrument}
                      inIntervals={inIntervals}
                    />
                  </td>
                ))}
                <td className="text-right text-soft">
                  {changes?.pairs[name] === undefined ? "" : signed(changes.pairs[name])}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <Tips draft={draft} />
      {problems.length > 0 && (
        <ul role="alert" className="mt-2 text-sm text-vermilion">
          {problems.map(({ at, sentence }) => (
            <li key={at + sentence}>{sentence}</li>
          ))}
        </ul>
      )}
      {draft.changed && <Keep playerId={playerId} draft={draft} today={today} />}
    </section>
  );
}

function signed(mm: number): string {
  return mm === 0 ? "unchanged" : `${mm > 0 ? "+" : "−"}${shown(Math.abs(mm))} mm`;
}

interface PairProps {
  readonly draft: HandDraft;
  readonly name: PairName;
  readonly figure: keyof PairMeasured;
  readonly spans: Spans;
  readonly instrument: Instrument;
  readonly inIntervals: boolean;
}

function PairFigure({ draft, name, figure, spans, instrument, inIntervals }: PairProps) {
  const field = `pairs.${name}.${figure}`;
  const { mm, measured, range } = spans[figure];
  const label = `${HAND_NAMES[draft.side]}, ${name.replace("-", " and ")}, ${FIGURE_NAMES[figure].toLowerCase()}`;
  if (!inIntervals) {
    const hint = measured
      ? `${Math.round(mm)} by the ruler`
      : `≈${Math.round(mm)} (${Math.round(range[0])}–${Math.round(range[1])})`;
    return <MmInput name={field} label={`${label}, mm`} draft={draft} hint={hint} />;
  }
  const typed = draft.fields[field];
  const held = intervalHeld(mm, instrument);
  return (
    <select
      aria-label={`${label}, as an interval of white keys`}
      className={`min-h-9 rounded-sm border border-hairline bg-raised px-1 ${typed ? "" : "text-soft italic"}`}
      value={typed ? (held ?? "") : ""}
      onChange={(event) => {
        const steps = WHITE_INTERVALS.findIndex((interval) => interval === event.target.value) + 1;
        draft.set(field, steps === 0 ? "" : shown(openingOfInterval(steps, instrument)));
      }}
    >
      <option value="">{held ? `≈ ${held}` : "less than a second"}</option>
      {WHITE_INTERVALS.map((interval) => (
        <option key={interval}>{interval}</option>
      ))}
    </select>
  );
}

function MmInput({ name, label, draft, hint }: { name: string; label: string; draft: HandDraft; hint: string }) {
  const wrong = draft.problems.some((p) => p.at === name);
  return (
    <input
      aria-label={label}
      aria-invalid={wrong}
      inputMode="decimal"
      placeholder={hint}
      value={draft.fields[name] ?? ""}
      onChange={(event) => draft.set(name, event.target.value)}
      className={`min-h-9 w-32 rounded-sm border bg-raised px-2 placeholder:text-soft placeholder:italic ${wrong ? "border-vermilion" : "border-hairline"}`}
    />
  );
}

/** Fingertips: their width, and how far each lies behind the foremost with the hand flat. */
function Tips({ draft }: { draft: HandDraft }) {
  return (
    <details className="mt-2 text-sm">
      <summary className="min-h-9 cursor-pointer py-1.5 text-soft">
        Fingertips: width, and distance behind the foremost; turns of the forearm
      </summary>
      <table className="w-full">
        <thead>
          <tr className="text-left">
            <th scope="col" className="font-medium">
              Finger
            </th>
            <th scope="col" className="font-medium">
              Width, mm
            </th>
            <th scope="col" className="font-medium">
              Behind, flat, mm
            </th>
          </tr>
        </thead>
        <tbody>
          {FINGERS.map((finger) => (
            <tr key={finger}>
              <th scope="row" className="text-left font-normal">
                {finger}, {fingerName(finger)}
              </th>
              <td>
                <MmInput
                  name={`tipWidths.${finger}`}
                  label={`${HAND_NAMES[draft.side]}, finger ${finger}, tip width, mm`}
                  draft={draft}
                  hint={`≈${shown(draft.hand.tipWidths[finger - 1]!)}`}
                />
              </td>
              <td>
                <MmInput
                  name={`behind.${finger}`}
                  label={`${HAND_NAMES[draft.side]}, finger ${finger}, behind the foremost, mm`}
                  draft={draft}
                  hint={`≈${Math.round(draft.hand.behindFlat[finger - 1]!)}`}
                />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <label className="mt-2 flex flex-wrap items-center gap-2">
        Forearm to and fro, thumb and little finger in turn on an octave, as often a second as goes with ease
        <MmInput
          name="turnsEase"
          label={`${HAND_NAMES[draft.side]}, turns of the forearm a second with ease`}
          draft={draft}
          hint={`≈${shown(draft.hand.rotation.ease)}`}
        />
      </label>
    </details>
  );
}

function Keep({ playerId, draft, today }: { playerId: string; draft: HandDraft; today: string }) {
  const [day, setDay] = useState(today);
  const [complaint, setComplaint] = useState<string | null>(null);
  const { busy, ask } = useAsk("measurements");
  const keep = async (): Promise<void> => {
    const { side, measured } = draft;
    const asked = { id: newId(), playerId, side, measuredOn: day, way: "typed", ...measured };
    const answer = await ask(() => measure(asked));
    if (!answer.ok) return setComplaint(answer.message);
    toast(`${HAND_NAMES[side]} kept as measured ${dayText(day)}.`);
  };
  return (
    <div className="mt-3 flex flex-wrap items-center gap-3">
      <label className="flex items-center gap-2 text-sm">
        Measured on
        <input
          type="date"
          value={day}
          max={today}
          onChange={(event) => setDay(event.target.value)}
          className="min-h-11 rounded-sm border border-hairline bg-raised px-2"
        />
      </label>
      <Button look="main" disabled={busy || draft.problems.length > 0} onClick={() => void keep()}>
        Keep as a new measurement
      </Button>
      <Button look="quiet" onClick={draft.reset}>
        As it was
      </Button>
      {complaint && (
        <p role="alert" className="text-sm text-vermilion">
          {complaint}
        </p>
      )}
    </div>
  );
}
