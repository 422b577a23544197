"use client";

import { useState } from "react";
import type { Warning } from "@/core/motion/warnings";
import type { Note, NoteId } from "@/core/passage/note";
import { placeText } from "@/core/passage/place";

interface Props {
  readonly warnings: readonly Warning[];
  readonly notes: readonly Note[];
  readonly onGo: (note: NoteId) => void;
}

/** Warnings that stand open before more are asked for, and places of each where it comes again. */
const SHOWN = 3;
const PLACES = 5;

/** What to change: of each kind the worst in full with its other places, three at first. */
export function WarningList({ warnings, notes, onGo }: Props) {
  const twoHands = new Set(warnings.map(({ side }) => side)).size > 1;
  const [all, showAll] = useState(false);
  return (
    <section aria-label="What to change">
      <h3 className="font-serif text-lg">What to change</h3>
      {warnings.length === 0 && <p className="text-soft">Nothing stands out at this tempo.</p>}
      <ul>
        {warnings.slice(0, all ? warnings.length : SHOWN).map(({ id, side, note, words, change, again }) => (
          <li key={`${id} ${side}`} className="border-b border-hairline py-1.5">
            <button type="button" className="w-full text-left hover:text-velvet" onClick={() => onGo(note)}>
              <span className="text-soft">
                {placeOf(note, notes)}
                {twoHands && side !== "both" && `, ${side} hand`}:{" "}
              </span>
              {words}.
            </button>
            <p className="text-soft">{sentence(change)}</p>
            {again.length > 0 && <Again again={again} notes={notes} onGo={onGo} />}
          </li>
        ))}
      </ul>
      {warnings.length > SHOWN && (
        <button type="button" className="min-h-11 text-soft underline" onClick={() => showAll(!all)}>
          {all ? "Fewer" : `${warnings.length - SHOWN} more`}
        </button>
      )}
    </section>
  );
}

/** Where the same is found again, the worst first. */
function Again({ again, notes, onGo }: Pick<Warning, "again"> & Omit<Props, "warnings">) {
  return (
    <p className="flex flex-wrap gap-x-2 text-xs">
      <span className="text-soft">also</span>
      {again.slice(0, PLACES).map(({ note, words }) => (
        <button
          key={note}
          type="button"
          title={words}
          onClick={() => onGo(note)}
          className="min-h-6 underline decoration-hairline underline-offset-2 hover:text-velvet"
        >
          {shortPlace(note, notes)}
        </button>
      ))}
      {again.length > PLACES && <span className="text-soft">and {again.length - PLACES} more</span>}
    </p>
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
