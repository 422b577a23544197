"use client";

import { useMemo, useState } from "react";
import { adjustmentsAt } from "@/core/motion/adjust";
import { offCentre } from "@/core/motion/centre";
import type { HandPlan } from "@/core/motion/hand-plan";
import type { Plan } from "@/core/motion/plan";
import { shapeRunsOf } from "@/core/motion/plan-marks";
import {
  END_WORDS,
  SOURCE_WORDS,
  SOURCES,
  START_WORDS,
  STROKE_ENDS,
  STROKE_STARTS,
  type Touch,
} from "@/core/motion/touch";
import { WATCHED } from "@/core/motion/watch";
import type { Warning } from "@/core/motion/warnings";
import type { Side } from "@/core/hand/finger";
import type { Note, NoteId } from "@/core/passage/note";
import { placeText } from "@/core/passage/place";
import { SignEditor } from "./sign-editor";
import { TuneForm } from "./tune-form";
import type { PlanMarksInHand } from "./use-plan-marks";

interface Props {
  readonly plan: Plan | null;
  readonly inHand: PlanMarksInHand;
  readonly notes: readonly Note[];
  readonly note: NoteId | null;
  readonly sideOf: (note: NoteId) => Side;
  readonly stretch: readonly NoteId[];
  readonly onGo: (note: NoteId) => void;
}

/** The hand plan in words: what to change, how the hand lies at the note in hand, its groups, its signs, its tune. */
export function PlanPanel({ plan, inHand, notes, note, sideOf, stretch, onGo }: Props) {
  if (!plan) return <p className="text-soft">The plan is being worked out.</p>;
  const hand = note ? plan.hands.find((h) => h.side === sideOf(note)) : undefined;
  const at = hand && note ? hand.frames.findIndex((f) => f.notes.includes(note)) : -1;
  return (
    <div className="flex flex-col gap-5 text-sm">
      <Warnings warnings={plan.warnings} notes={notes} onGo={onGo} />
      {hand && at >= 0 && <AtOnset hand={hand} at={at} inHand={inHand} />}
      <TuneForm plan={plan} inHand={inHand} notes={notes} stretch={stretch} note={note} onGo={onGo} />
      <SignEditor plan={plan} inHand={inHand} notes={notes} note={note} sideOf={sideOf} />
      <Watched inHand={inHand} />
      <p className="border-l-2 border-hairline pl-3 text-xs text-soft">
        Pain, numbness, tingling or a finger that does not obey: stop, rest, and see a clinician who treats musicians.
        Wide openings never cold, and no wider than these hands go by themselves.
      </p>
    </div>
  );
}

/** Kinds of warnings shown before more are asked for. */
const SHOWN = 4;

function Warnings({
  warnings,
  notes,
  onGo,
}: { readonly warnings: readonly Warning[] } & Pick<Props, "notes" | "onGo">) {
  const kinds = useMemo(() => {
    const by = new Map<string, Warning[]>();
    for (const warning of warnings)
      by.set(`${warning.id} ${warning.side}`, [...(by.get(`${warning.id} ${warning.side}`) ?? []), warning]);
    return [...by.values()];
  }, [warnings]);
  const [all, showAll] = useState(false);
  return (
    <section aria-label="What to change">
      <h3 className="font-serif text-lg">What to change</h3>
      {kinds.length === 0 && <p className="text-soft">Nothing stands out at this tempo.</p>}
      <ul>
        {kinds.slice(0, all ? kinds.length : SHOWN).map((kind) => (
          <li key={`${kind[0]!.id} ${kind[0]!.side}`} className="border-b border-hairline py-1.5">
            <button type="button" className="w-full text-left hover:text-velvet" onClick={() => onGo(kind[0]!.note)}>
              <span className="text-soft">{placeOf(kind[0]!.note, notes)}: </span>
              {kind[0]!.words}.
            </button>
            <p className="text-soft">{sentence(kind[0]!.change)}</p>
            {kind.length > 1 && (
              <p className="flex flex-wrap gap-x-2 text-xs">
                <span className="text-soft">also</span>
                {kind.slice(1, 7).map((each) => (
                  <button
                    key={each.note}
                    type="button"
                    title={each.words}
                    onClick={() => onGo(each.note)}
                    className="min-h-6 underline decoration-hairline underline-offset-2 hover:text-velvet"
                  >
                    {shortPlace(each.note, notes)}
                  </button>
                ))}
                {kind.length > 7 && <span className="text-soft">and {kind.length - 7} more</span>}
              </p>
            )}
          </li>
        ))}
      </ul>
      {kinds.length > SHOWN && (
        <button type="button" className="min-h-11 text-soft underline" onClick={() => showAll(!all)}>
          {all ? "Fewer" : `${kinds.length - SHOWN} more`}
        </button>
      )}
    </section>
  );
}

function AtOnset({
  hand,
  at,
  inHand,
}: {
  readonly hand: HandPlan;
  readonly at: number;
  readonly inHand: PlanMarksInHand;
}) {
  const frame = hand.frames[at]!;
  const release = hand.releases[at];
  const shape = shapeRunsOf(hand, inHand.marks).find((run) => run.from <= at && at <= run.to);
  const near = hand.clearances.find((c) => frame.notes.includes(c.note)) ?? null;
  const adjustments = useMemo(
    () =>
      adjustmentsAt(hand.hand, frame, hand.path.places[at]!, near).filter((a) => a.strain > 0.05 || a.clearance > 0),
    [hand, frame, at, near],
  );
  const off = Math.abs(offCentre(frame));
  return (
    <section aria-label="The hand here" className="flex flex-col gap-1">
      <h3 className="font-serif text-lg">The {hand.side} hand here</h3>
      <p>
        {shape && `${sentence(shape.shape)} fingers (${shape.why})`}
        {shape?.curledFirst && "; learn it with curled fingers first"}. Turned {Math.abs(frame.roll).toFixed(0)}°
        towards the {frame.roll < 0 ? "thumb" : "little finger"}, wrist {Math.abs(frame.height).toFixed(0)} mm{" "}
        {frame.height < 0 ? "under" : "over"} its level, {off.toFixed(0)} mm off the middle of its notes.
      </p>
      {release && (
        <p>
          {release.short > 0
            ? `${release.short.toFixed(0)} ms too little to the next place`
            : `${release.window.toFixed(0)} ms in which the hand can close`}
          <span className="text-soft">
            {" "}
            ({release.time.toFixed(0)} ms there are, {release.travel.toFixed(0)} for the way)
          </span>
          .
        </p>
      )}
      <TouchForm hand={hand} at={at} inHand={inHand} />
      {adjustments.length > 0 && (
        <>
          <p className="mt-1 text-soft">To try against it as it is:</p>
          <ol className="list-[upper-alpha] pl-5" start={2}>
            {adjustments.slice(0, 3).map(({ id, words, strain, clearance }) => (
              <li key={id}>
                {words}
                <span className="text-soft">
                  {strain > 0.05 && `, ${strain.toFixed(1)} less strain`}
                  {strain < -0.05 && `, ${(-strain).toFixed(1)} more strain`}
                  {clearance > 0 && `, ${clearance.toFixed(0)} mm more room to the key beside`}
                </span>
              </li>
            ))}
          </ol>
        </>
      )}
    </section>
  );
}

function TouchForm({
  hand,
  at,
  inHand,
}: {
  readonly hand: HandPlan;
  readonly at: number;
  readonly inHand: PlanMarksInHand;
}) {
  const impulse = hand.impulses.find((g) => g.from <= at && at <= g.to);
  const first = impulse && hand.frames[impulse.from]?.notes[0];
  if (!impulse || !first) return null;
  const { touch } = impulse;
  const { marks, setMarks } = inHand;
  const choose = (part: Partial<Pick<Touch, "source" | "start" | "end">>): void => {
    const { source, start, end } = { ...touch, ...part };
    setMarks({
      ...marks,
      touches: { ...marks.touches, [first]: { source, start: source === "arm" ? "on-key" : start, end } },
    });
  };
  const parts = [
    [
      "Energy",
      touch.source,
      SOURCES.map((s) => [s, SOURCE_WORDS[s]]),
      (v: string) => choose({ source: v as Touch["source"] }),
    ],
    [
      "Start",
      touch.start,
      STROKE_STARTS.filter((s) => touch.source !== "arm" || s === "on-key").map((s) => [s, START_WORDS[s]]),
      (v: string) => choose({ start: v as Touch["start"] }),
    ],
    ["End", touch.end, STROKE_ENDS.map((s) => [s, END_WORDS[s]]), (v: string) => choose({ end: v as Touch["end"] })],
  ] as const;
  return (
    <fieldset className="mt-1">
      <legend className="text-soft">
        Group of {impulse.to - impulse.from + 1}, because {impulse.why}; touch: {touch.why}
      </legend>
      <div className="flex flex-wrap gap-1">
        {parts.map(([label, value, options, set]) => (
          <select
            key={label}
            aria-label={label}
            value={value}
            onChange={(event) => set(event.target.value)}
            className="min-h-11 border border-hairline bg-paper px-1 text-xs"
          >
            {options.map(([id, words]) => (
              <option key={id} value={id}>
                {words}
              </option>
            ))}
          </select>
        ))}
      </div>
    </fieldset>
  );
}

function Watched({ inHand: { marks, setMarks } }: { readonly inHand: PlanMarksInHand }) {
  return (
    <fieldset>
      <legend className="font-serif text-lg">What only an eye sees</legend>
      <p className="text-soft">Tick what you have seen in this passage.</p>
      {WATCHED.map(({ id, words }) => (
        <label key={id} className="flex min-h-9 items-center gap-2">
          <input
            type="checkbox"
            checked={marks.watched.includes(id)}
            onChange={({ target }) =>
              setMarks({
                ...marks,
                watched: target.checked ? [...marks.watched, id] : marks.watched.filter((w) => w !== id),
              })
            }
          />
          {words}
        </label>
      ))}
      <label className="flex min-h-9 items-center gap-2">
        <input
          type="checkbox"
          checked={marks.school === "curled-first"}
          onChange={({ target }) => setMarks({ ...marks, school: target.checked ? "curled-first" : "as-played" })}
        />
        My school learns flat passages with curled fingers first
      </label>
    </fieldset>
  );
}

function placeOf(id: NoteId, notes: readonly Note[]): string {
  const note = notes.find((n) => n.id === id);
  return note ? sentence(placeText(note.bar, note.beat)) : "";
}

/** "3, 2½": bar and beat. */
function shortPlace(id: NoteId, notes: readonly Note[]): string {
  return placeOf(id, notes).replace("Bar ", "").replace("beat ", "");
}

function sentence(words: string): string {
  return words.charAt(0).toUpperCase() + words.slice(1);
}
