"use client";

import { useMemo, useState } from "react";
import type { Warning } from "@/core/motion/warnings";
import type { Note, NoteId } from "@/core/passage/note";
import { placeText } from "@/core/passage/place";

interface Props {
  readonly warnings: readonly Warning[];
  readonly notes: readonly Note[];
  readonly onGo: (note: NoteId) => void;
}

/** Kinds of warnings shown before more are asked for. */
const SHOWN = 4;

/** What to change, one of each kind in full with its other places. */
export function WarningList({ warnings, notes, onGo }: Props) {
  const kinds = useMemo(() => {
    const by = new Map<string, Warning[]>();
    for (const warning of warnings)
      by.set(`${warning.id} ${warning.side}`, [...(by.get(`${warning.id} ${warning.side}`) ?? []), warning]);
    return [...by.values()];
  }, [warnings]);
  const twoHands = new Set(warnings.map(({ side }) => side)).size > 1;
  const [all, showAll] = useState(false);
  return (
    <section aria-label="What to change">
      <h3 className="font-serif text-lg">What to change</h3>
      {kinds.length === 0 && <p className="text-soft">Nothing stands out at this tempo.</p>}
      <ul>
        {kinds.slice(0, all ? kinds.length : SHOWN).map((kind) => (
          <li key={`${kind[0]!.id} ${kind[0]!.side}`} className="border-b border-hairline py-1.5">
            <button type="button" className="w-full text-left hover:text-velvet" onClick={() => onGo(kind[0]!.note)}>
              <span className="text-soft">
                {placeOf(kind[0]!.note, notes)}
                {twoHands && kind[0]!.side !== "both" && `, ${kind[0]!.side} hand`}:{" "}
              </span>
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
