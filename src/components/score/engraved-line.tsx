"use client";

import { memo, useCallback, useEffect, useMemo, useRef, useState } from "react";
import type { Step } from "@/core/fingering/steps";
import type { Note, NoteId } from "@/core/passage/note";
import type { NoteRemedies } from "@/core/passage/remedied";
import type { Position } from "@/core/fingering/positions";
import type { HandsTaken } from "@/core/passage/passage";
import { HandBrackets } from "./hand-brackets";
import { PositionLanes } from "./position-lane";
import { DIGIT_SIZE, placeDigits, type DigitLayer, type DigitPlaced } from "./digits";
import { placeSigns } from "./signs";
import { RemedySign } from "./remedy-sign";
import { readPlaces, type LinePlaces, type NotePlace } from "./places";
import { StrainLanes, type Lane } from "./strain-lanes";

interface Props {
  readonly svg: string;
  readonly notes: readonly Note[];
  readonly steps: readonly Step[];
  readonly layers: readonly DigitLayer[];
  readonly lanes: readonly Lane[];
  /** What is chosen where the notes as written cannot be held. */
  readonly remedies?: NoteRemedies | undefined;
  /** Notes that one hand takes from the other. */
  readonly taken?: HandsTaken | undefined;
  /** Runs of notes under one placed hand, of the option in view. */
  readonly positions?: readonly Position[] | undefined;
  readonly selected: NoteId | null;
  readonly onSelect: (note: NoteId) => void;
}

const NO_REMEDIES: NoteRemedies = {};
const NONE_TAKEN: HandsTaken = {};

/** One line of music with everything that hangs from its notes. */
export function EngravedLine({
  svg,
  notes,
  steps,
  layers,
  lanes,
  remedies,
  taken,
  positions,
  selected,
  onSelect,
}: Props) {
  const [places, setPlaces] = useState<LinePlaces | null>(null);
  const ids = useMemo(() => notes.map((n) => n.id), [notes]);
  const measure = useCallback((element: HTMLElement) => setPlaces(readPlaces(element, ids)), [ids]);
  const digits = useMemo(() => (places ? placeDigits(places, notes, layers) : []), [places, notes, layers]);
  const chosen = selected ? places?.notes.get(selected) : undefined;
  const choose = (event: React.MouseEvent): void => {
    const id = (event.target as Element).closest("g.note")?.id as NoteId | undefined;
    if (id && ids.includes(id)) onSelect(id);
  };
  const line = useRef<HTMLDivElement>(null);
  const holdsChosen = chosen !== undefined;
  useEffect(() => {
    if (holdsChosen) line.current?.scrollIntoView({ block: "nearest" });
  }, [holdsChosen]);
  return (
    <div ref={line} className="scroll-mt-2 scroll-mb-(--covered-below)">
      <div className="relative" onClick={choose}>
        <Engraved svg={svg} onDrawn={measure} />
        {places && (
          <svg
            className="pointer-events-none absolute inset-0 overflow-visible"
            width={places.width}
            height={places.height}
            aria-hidden
          >
            {chosen && <Ring at={chosen} />}
            {placeSigns(places, notes, remedies ?? NO_REMEDIES).map(({ note, remedy, x, y }) => (
              <g key={note} transform={`translate(${x} ${y})`}>
                <RemedySign kind={remedy.kind} hand={remedy.kind === "other-hand" ? remedy.hand : "left"} />
              </g>
            ))}
            <HandBrackets places={places} notes={notes} taken={taken ?? NONE_TAKEN} />
            {digits.map((d) => (
              <Digit
                key={`${d.layer} ${d.note}`}
                digit={d}
                strong={d.layer === layers[0]?.name}
                chosen={d.note === selected}
              />
            ))}
          </svg>
        )}
      </div>
      {places && positions && <PositionLanes places={places} positions={positions} />}
      {places && <StrainLanes places={places} steps={steps} lanes={lanes} selected={selected} onSelect={onSelect} />}
    </div>
  );
}

/** The drawing itself, put into the page once and not touched while digits change. */
const Engraved = memo(function Engraved({ svg, onDrawn }: { svg: string; onDrawn: (element: HTMLElement) => void }) {
  const drawn = useCallback(
    (element: HTMLDivElement | null) => {
      if (!element) return;
      element.innerHTML = svg;
      onDrawn(element);
    },
    [svg, onDrawn],
  );
  return <div ref={drawn} className="engraving" aria-hidden />;
});

function Ring({ at }: { at: NotePlace }) {
  return <ellipse cx={at.x} cy={at.y} rx={11} ry={10} fill="none" stroke="var(--velvet)" strokeWidth={2} />;
}

/** A pinned digit is heavy and underlined; a differing one stands in a box; one worked out is plain. */
function Digit({
  digit: { text, x, y, pinned, marked, note, layer },
  strong,
  chosen,
}: {
  digit: DigitPlaced;
  strong: boolean;
  chosen: boolean;
}) {
  return (
    <g data-note={note} data-layer={layer}>
      {marked && (
        <rect
          x={x - 7}
          y={y - DIGIT_SIZE * 0.82}
          width={14}
          height={DIGIT_SIZE + 1}
          rx={2}
          fill="var(--paper-raised)"
          stroke="var(--ink)"
          strokeWidth={1}
        />
      )}
      <text
        x={x}
        y={y}
        textAnchor="middle"
        fontSize={DIGIT_SIZE}
        fontFamily="var(--font-serif)"
        fontWeight={pinned ? 800 : strong ? 500 : 400}
        fontStyle={strong ? "normal" : "italic"}
        fill={chosen ? "var(--velvet)" : "var(--ink)"}
      >
        {text}
      </text>
      {pinned && <line x1={x - 5} x2={x + 5} y1={y + 2.5} y2={y + 2.5} stroke="currentColor" strokeWidth={1.6} />}
    </g>
  );
}
