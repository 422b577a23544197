"use client";

import { parseAsString, useQueryState } from "nuqs";
import { useEffect, useRef, useState } from "react";
import type { NoteId } from "@/core/passage/note";
import { Button } from "../ui/button";
import type { TrialInHand } from "./use-trial-in-hand";

/** Which of the two is played. */
type Letter = "A" | "B";

/**
 * A change of how the hand lies, tried as two snips: A as it lies, B with the change. Once both are played they are held
 * against one another.
 */
export function SnipsAB({ trials, isHalted }: { readonly trials: TrialInHand; readonly isHalted: boolean }) {
  const [change, setChange] = useQueryState("change", parseAsString);
  const [note, setNote] = useQueryState("snip", parseAsString);
  const { trial, snip } = trials;
  const [takes, setTakes] = useState<Partial<Record<Letter, string>>>({});
  const playing = useRef<Letter | null>(null);
  const { told, against } = trial;
  const { take } = snip;
  const taken = useRef<string | null>(null);
  useEffect(() => {
    if (note === null || taken.current === note) return;
    taken.current = note;
    take([note as NoteId]);
  }, [note, take]);
  useEffect(() => {
    const letter = playing.current;
    if (!told || letter === null) return;
    playing.current = null;
    setTakes((before) => {
      const other = before[letter === "A" ? "B" : "A"];
      if (other) against(other);
      return { ...before, [letter]: told.id };
    });
  }, [told, against]);
  if (change === null) return null;
  const play = (letter: Letter): void => {
    playing.current = letter;
    trial.toggle();
  };
  return (
    <section aria-label="Two snips" className="border border-velvet p-3 text-sm">
      {(["A", "B"] as const).map((letter) => (
        <p key={letter} className="flex items-center justify-between gap-2 border-b border-hairline py-1">
          <span>
            <span className="font-serif italic">{letter}</span>, {letter === "A" ? "as it lies" : change}
            {takes[letter] && <span className="text-soft">: played</span>}
          </span>
          <Button className="px-2!" disabled={trial.phase !== "idle" || isHalted} onClick={() => play(letter)}>
            Play
          </Button>
        </p>
      ))}
      {takes.A && takes.B && <p className="mt-1">Both are played: the figures below stand side by side.</p>}
      <Button
        look="quiet"
        className="mt-1 px-0! underline"
        onClick={() => {
          void setChange(null);
          void setNote(null);
          snip.leave();
        }}
      >
        Done with it
      </Button>
    </section>
  );
}
