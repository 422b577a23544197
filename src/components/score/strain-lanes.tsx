import type { Judged } from "@/core/fingering/study";
import type { Step } from "@/core/fingering/steps";
import type { NoteId } from "@/core/passage/note";
import { TONE_COLOUR, toneOf, heightShare, strainText } from "../strain";
import type { LinePlaces } from "./places";

/** The strain of one option, onset by onset. */
export interface Lane {
  readonly name: string;
  readonly judged: Judged;
  /** Notes whose digit in this lane's option is written under the band. */
  readonly written: ReadonlySet<NoteId>;
}

interface Props {
  readonly places: LinePlaces;
  readonly steps: readonly Step[];
  readonly lanes: readonly Lane[];
  readonly selected: NoteId | null;
  readonly onSelect: (note: NoteId) => void;
}

const HEIGHT = 24;
const BAR = 9;
/** px more for a lane that has digits written over its bars. */
const ROOM_FOR_DIGITS = 12;
/** px between the bars of a rolled chord, whose notes stand over one another. */
const ROLLED_STEP = 6;

/** A band under the line for each option: the more strain at an onset, the higher and the warmer. */
export function StrainLanes({ places, steps, lanes, selected, onSelect }: Props) {
  const shown = stepsShown(places, steps);
  return (
    <div className="mb-2">
      {lanes.map((lane) => (
        <svg
          key={lane.name}
          width={places.width}
          height={heightOf(lane)}
          className="block overflow-visible"
          role="img"
          aria-label={`Strain of option ${lane.name}, onset by onset`}
        >
          <text
            x={2}
            y={heightOf(lane) - 3}
            fontSize={12}
            fontFamily="var(--font-serif)"
            fontStyle="italic"
            fill="var(--ink-soft)"
          >
            {lane.name}
          </text>
          <line
            x1={16}
            x2={places.width}
            y1={heightOf(lane) - 0.5}
            y2={heightOf(lane) - 0.5}
            stroke="var(--hairline)"
          />
          {shown.map(({ step, x }) => (
            <Bar
              key={step.notes[0]}
              x={x}
              lane={lane}
              step={step}
              selected={selected !== null && step.notes.includes(selected)}
              onSelect={onSelect}
            />
          ))}
        </svg>
      ))}
    </div>
  );
}

function heightOf({ written }: Lane): number {
  return written.size > 0 ? HEIGHT + ROOM_FOR_DIGITS : HEIGHT;
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

function Bar({
  x,
  lane,
  step,
  selected,
  onSelect,
}: {
  x: number;
  lane: Lane;
  step: Step;
  selected: boolean;
  onSelect: (note: NoteId) => void;
}) {
  const base = heightOf(lane) - 1;
  const strain = Math.max(...step.notes.map((id) => lane.judged.notes[id]?.strain ?? 0));
  const height = Math.max(1.5, heightShare(strain) * (HEIGHT - 4));
  const other = step.notes.filter((id) => lane.written.has(id)).map((id) => lane.judged.fingering[id] ?? "–");
  return (
    <g onClick={() => onSelect(step.notes[0]!)} className="cursor-pointer">
      <title>{`${lane.name}: ${strainText(strain)}`}</title>
      <rect
        x={x - 9}
        y={0}
        width={18}
        height={base + 1}
        fill={selected ? "var(--velvet)" : "transparent"}
        opacity={selected ? 0.12 : 1}
      />
      <rect x={x - BAR / 2} y={base - height} width={BAR} height={height} fill={TONE_COLOUR[toneOf(strain)]} />
      {other.length > 0 && (
        <text
          x={x}
          y={base - 4 - height}
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
