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

const HEIGHT = 30;
const BAR = 9;

/** A band under the line for each option: the more strain at an onset, the higher and the warmer. */
export function StrainLanes({ places, steps, lanes, selected, onSelect }: Props) {
  const shown = steps.flatMap((step) => {
    const xs = step.notes.flatMap((id) => places.notes.get(id)?.x ?? []);
    return xs.length === 0 ? [] : [{ step, x: xs.reduce((sum, x) => sum + x, 0) / xs.length }];
  });
  return (
    <div className="mb-2">
      {lanes.map((lane) => (
        <svg
          key={lane.name}
          width={places.width}
          height={HEIGHT}
          className="block overflow-visible"
          role="img"
          aria-label={`Strain of option ${lane.name}, onset by onset`}
        >
          <text
            x={2}
            y={HEIGHT - 3}
            fontSize={12}
            fontFamily="var(--font-serif)"
            fontStyle="italic"
            fill="var(--ink-soft)"
          >
            {lane.name}
          </text>
          <line x1={16} x2={places.width} y1={HEIGHT - 0.5} y2={HEIGHT - 0.5} stroke="var(--hairline)" />
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
        height={HEIGHT}
        fill={selected ? "var(--velvet)" : "transparent"}
        opacity={selected ? 0.12 : 1}
      />
      <rect x={x - BAR / 2} y={HEIGHT - 1 - height} width={BAR} height={height} fill={TONE_COLOUR[toneOf(strain)]} />
      {other.length > 0 && (
        <text
          x={x}
          y={HEIGHT - 5 - height}
          textAnchor="middle"
          fontSize={11}
          fontFamily="var(--font-serif)"
          fontStyle="italic"
          fill="var(--ink)"
        >
          {other.join(" ")}
        </text>
      )}
    </g>
  );
}
