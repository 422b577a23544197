import { memo } from "react";
import type { NoteId } from "@/core/passage/note";
import type { LinePlaces } from "../engraving/places";
import type { LaneId, LaneLimit, LaneSeries } from "./lane";

/** A lane as it is drawn under a line of music: one row a hand, or a take. */
export interface DrawnLane {
  readonly id: LaneId;
  readonly label: string;
  readonly kind: "line" | "bars";
  readonly rows: readonly { readonly name: string; readonly series: LaneSeries }[];
}

interface Props {
  readonly places: LinePlaces;
  readonly lanes: readonly DrawnLane[];
  readonly selected: NoteId | null;
  readonly onSelect: (note: NoteId) => void;
  readonly onFold: (lane: LaneId) => void;
}

/** px of one row of a lane. */
const HEIGHT = 38;
/** px kept free over and under its line. */
const MARGIN = 6;

/** The lanes of the hand plan under a line of music, aligned to its onsets: quiet lines, with the player's limits. */
export const PlanLanes = memo(function PlanLanes({ places, lanes, selected, onSelect, onFold }: Props) {
  return lanes.map((lane) => (
    <div key={lane.id} className="relative">
      <button
        type="button"
        onClick={() => onFold(lane.id)}
        title={`Fold the lane ${lane.label}`}
        aria-label={`Fold the lane ${lane.label}`}
        className="absolute -top-px left-0 z-10 min-h-6 bg-paper/80 pr-1 text-left font-serif text-[11px] text-soft italic hover:text-velvet"
      >
        {lane.label}
      </button>
      {lane.rows.map(({ name, series }) => (
        <Row key={name} {...{ places, lane, name, series, selected, onSelect }} two={lane.rows.length > 1} />
      ))}
    </div>
  ));
});

interface RowProps extends Pick<Props, "places" | "selected" | "onSelect"> {
  readonly lane: DrawnLane;
  readonly name: string;
  readonly series: LaneSeries;
  readonly two: boolean;
}

function Row({ places, lane, name, series, two, selected, onSelect }: RowProps) {
  const { points, range, limits, unit } = series;
  const [low, high] = range;
  const y = (value: number): number =>
    MARGIN + ((high - Math.min(high, Math.max(low, value))) / Math.max(1e-6, high - low)) * (HEIGHT - 2 * MARGIN);
  const shown = points.flatMap((p) => {
    const place = places.notes.get(p.note);
    return place ? [{ ...p, x: place.x }] : [];
  });
  if (shown.length === 0) return null;
  const atEnd = shown.filter(({ x }) => x > places.width - FIGURE.width).map(({ value }) => y(value));
  const path =
    lane.id === "shape"
      ? steps(shown.map((p) => ({ x: p.x, y: y(p.value) })))
      : line(shown.map((p) => ({ x: p.x, y: y(p.value) })));
  return (
    <svg
      width={places.width}
      height={HEIGHT}
      className="block overflow-visible border-t border-hairline"
      role="img"
      aria-label={`${lane.label}${two ? `, ${name}` : ""}, onset by onset`}
      data-lane={lane.id}
    >
      <line x1={0} x2={places.width} y1={y(0)} y2={y(0)} stroke="var(--hairline)" />
      {limits.map((limit) => (
        <Limit key={limit.words} {...limit} y={y(limit.at)} width={places.width} beside={atEnd} />
      ))}
      {(["least", "most"] as const).map((end) => (
        <path
          key={end}
          data-room={end}
          d={line(shown.flatMap((p) => (p.room ? [{ x: p.x, y: y(p.room[end]) }] : [])))}
          fill="none"
          {...LIMIT_LOOK}
        />
      ))}
      {lane.kind === "line" && <path d={path} fill="none" stroke="var(--ink)" strokeWidth={1.1} />}
      {shown.map((p, i) => (
        <PointShown
          key={p.note}
          point={p}
          y={y(p.value)}
          zero={y(0)}
          kind={lane.kind}
          named={lane.id === "shape" && nameOf(p) !== (i > 0 ? nameOf(shown[i - 1]!) : null) ? nameOf(p) : null}
          isSelected={selected === p.note}
          onSelect={onSelect}
        />
      ))}
      {(unit !== "" || two) && (
        <text
          x={0}
          y={HEIGHT - 4}
          fontSize={9}
          fill="var(--ink-soft)"
          stroke="var(--paper)"
          strokeWidth={4}
          paintOrder="stroke"
          fontFamily="var(--font-sans)"
        >
          {[...(two ? [name] : []), ...(unit === "" ? [] : [rangeWords(range, unit)])].join(", ")}
        </text>
      )}
    </svg>
  );
}

interface PointProps {
  readonly point: LaneSeries["points"][number] & { readonly x: number };
  /** Where its value lies, and where nought does. */
  readonly y: number;
  readonly zero: number;
  readonly kind: DrawnLane["kind"];
  /** A name written at it; null for none. */
  readonly named: string | null;
  readonly isSelected: boolean;
  readonly onSelect: (note: NoteId) => void;
}

/** What a lane says at one onset. */
function PointShown({ point: { x, note, words, beyond }, y, zero, kind, named, isSelected, onSelect }: PointProps) {
  return (
    <g className="cursor-pointer" onClick={() => onSelect(note)}>
      <title>{words}</title>
      <rect
        x={x - 9}
        y={0}
        width={18}
        height={HEIGHT}
        className="print:hidden"
        fill={isSelected ? "var(--velvet)" : "transparent"}
        opacity={isSelected ? 0.12 : 1}
      />
      {kind === "bars" ? (
        <rect x={x - 1.5} y={Math.min(zero, y)} width={3} height={Math.max(1, Math.abs(y - zero))} fill="var(--ink)" />
      ) : (
        <circle cx={x} cy={y} r={1.8} fill="var(--ink)" />
      )}
      {beyond && (
        <path
          d={`M ${x - 3} ${HEIGHT - 8} l 6 6 M ${x + 3} ${HEIGHT - 8} l -6 6`}
          stroke="var(--ink)"
          strokeWidth={1.3}
        />
      )}
      {named !== null && (
        <text
          x={x - 4}
          y={y > HEIGHT / 2 ? y - 4 : y + 11}
          fontSize={10}
          fontFamily="var(--font-serif)"
          fontStyle="italic"
          fill="var(--ink)"
        >
          {named}
        </text>
      )}
    </g>
  );
}

/** The name of a shape: what its words begin with. */
function nameOf({ words }: { readonly words: string }): string {
  return words.split(":")[0]!;
}

/** Limits are dotted, whatever they limit. */
const LIMIT_LOOK = { stroke: "var(--ink-soft)", strokeWidth: 0.8, strokeDasharray: "1 3.5" };

/** px that a limit's figure takes, and how far a point keeps from it. */
const FIGURE = { width: 34, height: 8, clear: 3 };

interface LimitProps extends LaneLimit {
  readonly y: number;
  readonly width: number;
  /** Where the points lie that have its figure beside them. */
  readonly beside: readonly number[];
}

/** A limit of the player with its figure at the end of the line: under or over it, wherever no point lies. */
function Limit({ figure, words, y, width, beside }: LimitProps) {
  const isFree = (base: number): boolean =>
    base <= HEIGHT &&
    base >= FIGURE.height &&
    beside.every((at) => at > base + FIGURE.clear || at < base - FIGURE.height - FIGURE.clear);
  const [usual, other] = y < HEIGHT / 2 ? [y + 9, y - 3] : [y - 3, y + 9];
  return (
    <g data-limit={figure}>
      <line x1={0} x2={width} y1={y} y2={y} {...LIMIT_LOOK} />
      <text
        x={width}
        y={!isFree(usual) && isFree(other) ? other : usual}
        textAnchor="end"
        fontSize={9}
        fill="var(--ink-soft)"
        stroke="var(--paper)"
        strokeWidth={3}
        paintOrder="stroke"
        fontFamily="var(--font-sans)"
      >
        {figure}
      </text>
      <title>{words}</title>
    </g>
  );
}

interface LanePlace {
  readonly x: number;
  readonly y: number;
}

function line(points: readonly LanePlace[]): string {
  return points.map(({ x, y }, i) => `${i === 0 ? "M" : "L"} ${x} ${y}`).join(" ");
}

function steps(points: readonly LanePlace[]): string {
  return points.map(({ x, y }, i) => (i === 0 ? `M ${x} ${y}` : `H ${x} V ${y}`)).join(" ");
}

/** "−60 to 60 ms". */
function rangeWords([low, high]: LaneSeries["range"], unit: string): string {
  return `${low < -0.5 ? `−${Math.round(-low)} to ` : "0 to "}${Math.round(high)} ${unit}`;
}
