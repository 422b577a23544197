import { memo } from "react";
import type { Judged } from "@/core/fingering/study/study";
import type { Step } from "@/core/fingering/study/steps";
import { SIDES, type Side } from "@/core/hand/finger";
import type { NoteId } from "@/core/passage/note";
import { TONE_COLOUR, toneOf, heightShare, strainText } from "../../strain";
import type { LinePlaces } from "../engraving/places";

/** The strain of one option, onset by onset. */
export interface Lane {
  readonly name: string;
  readonly judged: Judged;
  /** Notes whose digit in this lane's option is written beside the band. */
  readonly written: ReadonlySet<NoteId>;
}

interface Props {
  readonly places: LinePlaces;
  readonly steps: readonly Step[];
  readonly lanes: readonly Lane[];
  /** The hand of each note; with two hands a band stands for each, the right upwards and the left down. */
  readonly sideOf: (note: NoteId) => Side;
  readonly selected: NoteId | null;
  readonly onSelect: (note: NoteId) => void;
}

/** px of a band for one hand, and of each of two. */
const HEIGHT = 24;
const HEIGHT_OF_TWO = 17;
const BAR = 9;
/** px more for a lane that has digits written over its bars. */
const ROOM_FOR_DIGITS = 12;
/** px between the bars of a rolled chord, whose notes stand over one another. */
const ROLLED_STEP = 6;

/** How a lane lies: its whole height, and where the line stands from which its bars rise and hang. */
interface Shape {
  readonly height: number;
  readonly base: number;
  /** px of the highest bar. */
  readonly reach: number;
  readonly sides: readonly Side[];
}

/** A band under the line for each option: the more strain at an onset, the higher and the warmer. */
export const StrainLanes = memo(function StrainLanes({ places, steps, lanes, sideOf, selected, onSelect }: Props) {
  const shown = stepsShown(places, steps);
  const sides = SIDES.filter((side) => steps.some((step) => step.notes.some((id) => sideOf(id) === side)));
  return (
    <div className="mb-2">
      {lanes.map((lane) => {
        const shape = shapeOf(lane, sides);
        return (
          <svg
            key={lane.name}
            width={places.width}
            height={shape.height}
            className="block overflow-visible"
            role="img"
            aria-label={`Strain of option ${lane.name}, onset by onset${sides.length > 1 ? ", right hand upwards, left hand down" : ""}`}
          >
            <text
              x={2}
              y={shape.base - 2}
              fontSize={12}
              fontFamily="var(--font-serif)"
              fontStyle="italic"
              fill="var(--ink-soft)"
            >
              {lane.name}
            </text>
            <line x1={16} x2={places.width} y1={shape.base} y2={shape.base} stroke="var(--hairline)" />
            {shown.map(({ step, x }) => (
              <OnsetBars
                key={step.notes[0]}
                {...{ x, lane, step, shape, sideOf, onSelect }}
                selected={selected !== null && step.notes.includes(selected)}
              />
            ))}
          </svg>
        );
      })}
    </div>
  );
});

function shapeOf({ written }: Lane, sides: readonly Side[]): Shape {
  const room = written.size > 0 ? ROOM_FOR_DIGITS : 0;
  if (sides.length < 2) return { height: HEIGHT + room, base: HEIGHT + room - 0.5, reach: HEIGHT - 4, sides };
  return { height: 2 * (HEIGHT_OF_TWO + room), base: HEIGHT_OF_TWO + room, reach: HEIGHT_OF_TWO - 3, sides };
}

/** Where each step of this line stands. */
function stepsShown(
  places: LinePlaces,
  steps: readonly Step[],
): readonly { readonly step: Step; readonly x: number }[] {
  const shown: { step: Step; x: number }[] = [];
  for (const step of steps) {
    const xs = step.notes.flatMap((id) => places.notes.get(id)?.x ?? []);
    if (xs.length === 0) continue;
    const x = xs.reduce((sum, each) => sum + each, 0) / xs.length;
    const before = shown.at(-1);
    const goesOn = before?.step.at === step.at && before.x >= x;
    shown.push({ step, x: goesOn ? before.x + ROLLED_STEP : x });
  }
  return shown;
}

interface OnsetProps {
  readonly x: number;
  readonly lane: Lane;
  readonly step: Step;
  readonly shape: Shape;
  readonly sideOf: (note: NoteId) => Side;
  readonly selected: boolean;
  readonly onSelect: (note: NoteId) => void;
}

function OnsetBars({ x, lane, step, shape, sideOf, selected, onSelect }: OnsetProps) {
  return (
    <g className="cursor-pointer">
      <rect
        x={x - 9}
        y={0}
        width={18}
        height={shape.height}
        className="print:hidden"
        fill={selected ? "var(--velvet)" : "transparent"}
        opacity={selected ? 0.12 : 1}
        onClick={() => onSelect(step.notes[0]!)}
      />
      {shape.sides.map((side) => {
        const notes = step.notes.filter((id) => sideOf(id) === side);
        const hangs = shape.sides.length > 1 && side === "left";
        return notes.length > 0 && <HandBar key={side} {...{ x, lane, shape, notes, hangs, onSelect }} />;
      })}
    </g>
  );
}

/** The strain of one hand at one onset, with the digits that differ beyond its bar. */
function HandBar({
  x,
  lane,
  shape,
  notes,
  hangs,
  onSelect,
}: Pick<OnsetProps, "x" | "lane" | "shape" | "onSelect"> & {
  readonly notes: readonly NoteId[];
  readonly hangs: boolean;
}) {
  const strain = Math.max(...notes.map((id) => lane.judged.notes[id]?.strain ?? 0));
  const height = Math.max(1.5, heightShare(strain) * shape.reach);
  const other = notes.filter((id) => lane.written.has(id)).map((id) => lane.judged.fingering[id] ?? "–");
  return (
    <g onClick={() => onSelect(notes[0]!)}>
      <title>{`${lane.name}: ${strainText(strain)}`}</title>
      <rect
        x={x - BAR / 2}
        y={hangs ? shape.base : shape.base - height}
        width={BAR}
        height={height}
        fill={TONE_COLOUR[toneOf(strain)]}
      />
      {other.length > 0 && (
        <text
          x={x}
          y={hangs ? shape.base + height + 10 : shape.base - 3 - height}
          textAnchor="middle"
          fontSize={11}
          fontFamily="var(--font-serif)"
          fontStyle="italic"
          fill="var(--ink)"
        >
          {other.join("")}
        </text>
      )}
    </g>
  );
}
