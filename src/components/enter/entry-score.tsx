"use client";

import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import { itemsAt, namesOf, type Cursor, type Entry, type VoiceIndex } from "@/core/entry/entry";
import type { NoteId } from "@/core/passage/note";
import { engraver } from "@/worker/clients";
import { readPlaces, type LinePlaces } from "../score/engraving/places";
import { safeSvg } from "../score/engraving/safe-svg";
import { useWidth } from "../score/engraving/use-width";

interface Props {
  readonly entry: Entry;
  readonly cursor: Cursor;
  readonly onGo: (cursor: Cursor) => void;
}

const SCALE = 52;

interface Drawing {
  readonly lines: readonly string[] | null;
  readonly failed: boolean;
}

/** The music as entered, engraved anew with every change, with the cursor behind the note that can be edited. */
export function EntryScore({ entry, cursor, onGo }: Props) {
  const frame = useRef<HTMLDivElement>(null);
  const [{ lines, failed }, setDrawing] = useState<Drawing>({ lines: null, failed: false });
  const width = useWidth(frame);
  useEffect(() => {
    if (width === 0) return;
    let isWanted = true;
    void engraver()
      .engraveEntry(entry, { width, scale: SCALE, rows: 1 }, "entry")
      .then((drawn) => {
        if (isWanted && drawn) setDrawing({ lines: drawn.map(safeSvg), failed: false });
      })
      .catch(() => {
        if (isWanted) setDrawing((before) => ({ ...before, failed: true }));
      });
    return () => {
      isWanted = false;
    };
  }, [entry, width]);
  const names = useMemo(() => namesOf(entry), [entry]);
  const cursors = useMemo(() => cursorsOf(entry, names), [entry, names]);
  const before = beforeCursor(entry, cursor, names);
  return (
    <div
      ref={frame}
      className="min-h-52"
      aria-busy={lines === null}
      onClick={(event) => {
        const id = (event.target as Element).closest("g.note")?.id as NoteId | undefined;
        const found = id && cursors.get(id);
        if (found) onGo(found);
      }}
    >
      {failed && (
        <p role="alert" className="text-sm text-vermilion">
          These notes could not be engraved; they are kept all the same.
        </p>
      )}
      {lines === null && !failed && <p className="pt-20 text-center font-serif text-soft italic">Engraving…</p>}
      {lines?.map((svg, i) => (
        <EntryLine key={i} svg={svg} ids={[...cursors.keys()]} before={before} />
      ))}
    </div>
  );
}

function EntryLine({ svg, ids, before }: { svg: string; ids: readonly NoteId[]; before: readonly NoteId[] }) {
  const [places, setPlaces] = useState<LinePlaces | null>(null);
  const drawn = useCallback(
    (element: HTMLDivElement | null) => {
      if (!element) return;
      element.innerHTML = svg;
      setPlaces(readPlaces(element, ids));
    },
    // The names of the notes change only with the drawing.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [svg],
  );
  const spots = before.flatMap((id) => places?.notes.get(id) ?? []);
  return (
    <div className="relative">
      <div ref={drawn} className="engraving" aria-hidden />
      {places && spots.length > 0 && (
        <svg
          className="pointer-events-none absolute inset-0 overflow-visible"
          width={places.width}
          height={places.height}
          aria-hidden
        >
          {spots.map(({ x, y }, i) => (
            <ellipse key={i} cx={x} cy={y} rx={11} ry={10} fill="none" stroke="var(--velvet)" strokeWidth={2} />
          ))}
          <line
            x1={spots[0]!.x + 17}
            x2={spots[0]!.x + 17}
            y1={Math.min(...spots.map((s) => s.y)) - 34}
            y2={Math.max(...spots.map((s) => s.y)) + 34}
            stroke="var(--velvet)"
            strokeWidth={1.5}
          />
        </svg>
      )}
    </div>
  );
}

/** The cursor behind each entered note, by the note's name. */
function cursorsOf({ bars }: Entry, names: ReadonlyMap<string, readonly NoteId[]>): ReadonlyMap<NoteId, Cursor> {
  const found = new Map<NoteId, Cursor>();
  bars.forEach((voices, bar) =>
    voices.forEach((items, voice) =>
      items.forEach(({ id }, i) => {
        for (const name of names.get(id) ?? []) found.set(name, { bar, voice: voice as VoiceIndex, at: i + 1 });
      }),
    ),
  );
  return found;
}

/** The notes of the last item before the cursor that is no rest. */
function beforeCursor(entry: Entry, cursor: Cursor, names: ReadonlyMap<string, readonly NoteId[]>): readonly NoteId[] {
  const items = itemsAt(entry, cursor).slice(0, cursor.at);
  const last = items.findLast((item) => item.pitches.length > 0);
  return last ? (names.get(last.id) ?? []) : [];
}
