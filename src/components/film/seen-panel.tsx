"use client";

import Link from "next/link";
import { useState } from "react";
import type { FilmMarks } from "@/core/film/film-marks";
import { ledTo, SEEN_FAULTS, type SeenAt } from "@/core/film/seen";
import type { Step } from "@/core/fingering/study/steps";
import type { NoteId } from "@/core/passage/note";
import { adjustmentsAt, type Adjustment } from "@/core/motion/plan/adjust";
import type { Plan } from "@/core/motion/plan/plan";
import { INPUT_LOOK } from "../ui/field";

interface Props {
  readonly passageId: string;
  readonly marks: FilmMarks;
  readonly plan: Plan | null;
  readonly steps: readonly Step[];
  readonly onMarks: (marks: FilmMarks) => void;
}

/** Changes that are offered for a fault. */
const OFFERED = 3;

/** What only an eye sees, ticked with its bar; each leads to changes of how the hand lies, to be tried as snips. */
export function SeenPanel({ passageId, marks, plan, steps, onMarks }: Props) {
  const bars = [...new Set(steps.map(({ bar }) => bar))];
  const [bar, setBar] = useState(bars[0] ?? "1");
  const isSeen = ({ fault, bar: at }: SeenAt): boolean => marks.seen.some((s) => s.fault === fault && s.bar === at);
  const toggle = (one: SeenAt): void =>
    onMarks({
      ...marks,
      seen: isSeen(one) ? marks.seen.filter((s) => s.fault !== one.fault || s.bar !== one.bar) : [...marks.seen, one],
    });
  return (
    <section aria-label="Seen by eye" className="border-t border-hairline pt-2">
      <h2 className="font-serif text-lg">Seen by eye</h2>
      <label className="flex items-center gap-2">
        In bar
        <select value={bar} onChange={({ target }) => setBar(target.value)} className={INPUT_LOOK}>
          {bars.map((one) => (
            <option key={one}>{one}</option>
          ))}
        </select>
      </label>
      <div className="mt-1 flex flex-wrap gap-1">
        {SEEN_FAULTS.map(({ id, words }) => (
          <button
            key={id}
            type="button"
            aria-pressed={isSeen({ fault: id, bar })}
            onClick={() => toggle({ fault: id, bar })}
            className="min-h-9 border border-hairline px-2 aria-pressed:border-velvet aria-pressed:font-medium aria-pressed:text-velvet"
          >
            {words}
          </button>
        ))}
      </div>
      <ul className="mt-2">
        {marks.seen.map((seen) => (
          <li key={`${seen.fault} ${seen.bar}`} className="border-t border-hairline py-1">
            Bar {seen.bar}, {SEEN_FAULTS.find(({ id }) => id === seen.fault)!.words}. Try as snip A as it lies, and as
            B:
            <ul className="pl-3">
              {changesFor(seen, plan, steps).map(({ id, words, note }) => (
                <li key={id}>
                  <Link
                    className="underline hover:text-velvet"
                    href={`/bench/${passageId}?${new URLSearchParams({ aside: "trials", snip: note, change: words })}`}
                  >
                    {words}
                  </Link>
                </li>
              ))}
            </ul>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** The changes that help most in a bar, those that the fault leads to first, each with the note that it is about. */
function changesFor(
  { fault, bar }: SeenAt,
  plan: Plan | null,
  steps: readonly Step[],
): readonly (Pick<Adjustment, "id" | "words"> & { readonly note: NoteId })[] {
  const own = new Set(steps.flatMap((step) => (step.bar === bar ? step.notes : [])));
  const found = new Map<string, Adjustment & { readonly note: NoteId }>();
  for (const hand of plan?.hands ?? [])
    hand.frames.forEach((frame, at) => {
      if (!frame.notes.some((id) => own.has(id))) return;
      const near = hand.clearances.find((c) => frame.notes.includes(c.note)) ?? null;
      for (const one of adjustmentsAt(hand, at, near)) {
        const before = found.get(one.id);
        if (!before || before.strain < one.strain) found.set(one.id, { ...one, note: frame.notes[0]! });
      }
    });
  const ranked = [...found.values()].sort((a, b) => b.strain - a.strain);
  return ledTo(fault, ranked).slice(0, OFFERED);
}
