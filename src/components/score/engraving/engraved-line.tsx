"use client";

import { memo, useCallback, useEffect, useMemo, useRef, useState } from "react";
import type { NoteId } from "@/core/passage/note";
import type { NoteRemedies } from "@/core/passage/remedied";
import type { Redistribution } from "@/core/passage/passage";
import { PlanLanes } from "../plan/plan-lanes";
import { overhangOf, PlanSigns } from "../plan/plan-signs";
import { HandBrackets } from "../marks/hand-brackets";
import { PositionLanes } from "../lanes/position-lane";
import { Digit } from "../marks/digit";
import { placeDigits, type DigitPlaced } from "../marks/digits";
import { DoubtMarks } from "../marks/doubt-marks";
import { FigureMarks } from "../marks/figure-marks";
import { placeSigns } from "../marks/signs";
import { TakeMarks } from "../marks/take-marks";
import { RemedySign } from "../marks/remedy-sign";
import { useDrag } from "./use-drag";
import { readPlaces, type LinePlaces, type NotePlace } from "./places";
import type { Drawn } from "../drawn";
import { StrainLanes } from "../lanes/strain-lanes";
import { StretchBand } from "../lanes/stretch-band";

interface Props extends Drawn {
  readonly svg: string;
  /** 1 for the usual size. */
  readonly zoom: number;
}

const NO_REMEDIES: NoteRemedies = {};
const NONE_TAKEN: Redistribution = {};

/** One line of music with everything that hangs from its notes. */
export const EngravedLine = memo(function EngravedLine(props: Props) {
  const {
    svg,
    zoom,
    notes,
    layers,
    remedies,
    taken,
    positions,
    figures,
    astray,
    doubtful,
    plan,
    stretch,
    selected,
    onSelect,
  } = props;
  const [places, setPlaces] = useState<LinePlaces | null>(null);
  const ids = useMemo(() => notes.map((n) => n.id), [notes]);
  const measure = useCallback((element: HTMLElement) => setPlaces(readPlaces(element, ids)), [ids]);
  const own = useMemo(() => (places ? notes.filter((n) => places.notes.has(n.id)) : []), [places, notes]);
  const digits = useMemo(() => (places ? placeDigits(places, own, layers, zoom) : []), [places, own, layers, zoom]);
  const chosen = selected ? places?.notes.get(selected) : undefined;
  const drag = useDrag(places, onSelect);
  const choose = (event: React.PointerEvent | React.MouseEvent): void => {
    if (drag.wasDrawn()) return;
    const id = (event.target as Element).closest("g.note")?.id as NoteId | undefined;
    if (!id || !ids.includes(id)) return;
    const isTouch = (event.nativeEvent as PointerEvent).pointerType === "touch";
    const at = isTouch ? { x: event.clientX, y: event.clientY } : null;
    onSelect(id, { extends: event.shiftKey, touchedAt: at });
  };
  const line = useRef<HTMLDivElement>(null);
  useKeptInView(line, chosen);
  return (
    <div ref={line} className="scroll-mt-2 scroll-mb-(--covered-below) print:break-inside-avoid">
      <div className="relative" style={roomFor(places, plan, digits)} onClick={choose} {...drag.handlers}>
        <Engraved svg={svg} onDrawn={measure} />
        {places && (
          <svg
            className="pointer-events-none absolute inset-0 overflow-visible"
            width={places.width}
            height={places.height}
            aria-hidden
          >
            {stretch && <StretchBand places={places} stretch={stretch} />}
            {chosen && <Ring at={chosen} />}
            {placeSigns(places, notes, remedies ?? NO_REMEDIES).map(({ note, remedy, x, y }) => (
              <g key={note} transform={`translate(${x} ${y})`}>
                <RemedySign kind={remedy.kind} hand={remedy.kind === "other-hand" ? remedy.hand : "left"} />
              </g>
            ))}
            <HandBrackets places={places} notes={notes} taken={taken ?? NONE_TAKEN} />
            <Marks {...{ places, figures, astray, doubtful }} />
            {plan && <PlanSigns places={places} signs={plan.signs} digits={digits} />}
            <Digits digits={digits} first={layers[0]?.name} selected={chosen ? selected : null} />
          </svg>
        )}
      </div>
      {places && positions && <PositionLanes places={places} positions={positions} />}
      {places && <StrainLanes {...{ places, onSelect, selected }} {...lanesOf(props)} />}
      <LanesOfPlan {...{ places, plan, onSelect, selected }} />
    </div>
  );
});

type Marked = Pick<Props, "figures" | "astray" | "doubtful"> & { readonly places: LinePlaces };

/** Figures that return, what went astray in a take, and what is doubtful. */
function Marks({ places, figures, astray, doubtful }: Marked) {
  return (
    <>
      {figures && <FigureMarks places={places} marks={figures} />}
      {astray && <TakeMarks places={places} marks={astray} />}
      {doubtful && <DoubtMarks places={places} notes={doubtful} />}
    </>
  );
}

/** The digits of all layers on one line. */
const Digits = memo(function Digits({
  digits,
  first,
  selected,
}: {
  readonly digits: readonly DigitPlaced[];
  /** The layer in view. */
  readonly first: string | undefined;
  readonly selected: NoteId | null;
}) {
  return digits.map((d) => (
    <Digit key={`${d.layer} ${d.note}`} {...d} strong={d.layer === first} chosen={d.note === selected} />
  ));
});

/** Room over and under a line for the signs that go past it. */
function roomFor(
  places: LinePlaces | null,
  plan: Props["plan"],
  digits: readonly DigitPlaced[],
): React.CSSProperties | undefined {
  if (!places || !plan) return undefined;
  const { over, under } = overhangOf(places, plan.signs, digits);
  return { marginTop: over, marginBottom: under };
}

function LanesOfPlan({
  places,
  plan,
  ...chosen
}: Pick<Props, "plan" | "onSelect" | "selected"> & { readonly places: LinePlaces | null }) {
  return places && plan && <PlanLanes places={places} lanes={plan.lanes} onFold={plan.onFold} {...chosen} />;
}

function lanesOf({ steps, lanes, sideOf }: Props): Pick<Props, "steps" | "lanes" | "sideOf"> {
  return { steps, lanes, sideOf };
}

/** px that the header covers, and under which a part of what stands above a line is no use to anybody. */
const HEADER = 56;
const SLIVER = 90;

/** The line with the chosen note stays in sight; of one long line, the note itself. */
function useKeptInView(line: React.RefObject<HTMLDivElement | null>, chosen: NotePlace | undefined): void {
  const holdsChosen = chosen !== undefined;
  const x = chosen?.x;
  useEffect(() => {
    if (!holdsChosen) return;
    // Once the page is laid out: asked for before, it would be laid out twice.
    const soon = requestAnimationFrame(() => {
      line.current?.scrollIntoView({ block: "nearest", inline: "nearest" });
      // No sliver of what stands above it is left under the header.
      const sliver = (line.current?.getBoundingClientRect().top ?? 0) - HEADER;
      if (window.scrollY > 0 && sliver > 0 && sliver < SLIVER) window.scrollBy({ top: sliver });
    });
    return () => cancelAnimationFrame(soon);
  }, [holdsChosen, line]);
  useEffect(() => {
    const frame = line.current?.parentElement;
    if (x === undefined || !frame || frame.scrollWidth <= frame.clientWidth) return;
    const isSeen = x > frame.scrollLeft + 60 && x < frame.scrollLeft + frame.clientWidth - 120;
    if (!isSeen) frame.scrollTo({ left: Math.max(0, x - frame.clientWidth / 3) });
  }, [x, line]);
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
  return <div ref={drawn} className="engraving w-fit min-w-full" aria-hidden />;
});

function Ring({ at }: { at: NotePlace }) {
  return (
    <ellipse
      className="print:hidden"
      cx={at.x}
      cy={at.y}
      rx={11}
      ry={10}
      fill="none"
      stroke="var(--velvet)"
      strokeWidth={2}
    />
  );
}
