"use client";

import type { Side } from "@/core/hand/finger";
import { pairName, type Pair } from "@/core/hand/pair";
import { pitchName } from "@/core/keyboard/pitch";
import { INTERVAL_NAMES, type SheetCell, type SheetRow } from "@/core/reach/sheet";
import { GRADE_NAMES, GradeSquare } from "./grade-look";

interface Props {
  readonly side: Side;
  readonly rows: readonly SheetRow[];
  /** The sheet it is held against. */
  readonly against: readonly SheetRow[] | null;
  readonly chosen: { readonly pair: string; readonly semitones: number } | null;
  readonly onChoose: (pair: Pair, semitones: number) => void;
}

const SHORT_NAMES = [
  "m2",
  "M2",
  "m3",
  "M3",
  "4",
  "tt",
  "5",
  "m6",
  "M6",
  "m7",
  "M7",
  "8",
  "m9",
  "M9",
  "m10",
  "M10",
  "11",
];
const SQUARE = 22;

/** Finger pairs down, intervals across; each cell a grade. */
export function SheetTable({ rows, against, chosen, onChoose }: Props) {
  return (
    <table className="w-full table-fixed border-collapse text-sm">
      <thead>
        <tr>
          <th scope="col" className="w-16 text-left font-medium">
            Fingers
          </th>
          {SHORT_NAMES.map((name, i) => (
            <th key={name} scope="col" className="py-1 text-center font-medium" title={INTERVAL_NAMES[i]}>
              {name}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map(({ pair, cells }, r) => (
          <tr key={pairName(...pair)} className="border-t border-hairline">
            <th scope="row" className="text-left font-normal">
              {pair[0]} and {pair[1]}
            </th>
            {cells.map((cell, i) => (
              <td key={i} className="p-0 text-center">
                {cell ? (
                  <Cell
                    cell={cell}
                    other={against?.[r]?.cells[i] ?? null}
                    fingers={pair}
                    isChosen={chosen?.pair === pairName(...pair) && chosen.semitones === cell.semitones}
                    onChoose={() => onChoose(pair, cell.semitones)}
                  />
                ) : (
                  <span className="text-hairline" aria-label="no such keys">
                    ·
                  </span>
                )}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

interface CellProps {
  readonly cell: SheetCell;
  readonly other: SheetCell | null;
  readonly fingers: Pair;
  readonly isChosen: boolean;
  readonly onChoose: () => void;
}

function Cell({ cell, other, fingers, isChosen, onChoose }: CellProps) {
  const { grade, keys, semitones } = cell;
  const differs = other !== null && other.grade !== grade;
  const label =
    `${fingers.join(" and ")}, ${INTERVAL_NAMES[semitones - 1]}, ${keys.map(pitchName).join(" to ")}: ${GRADE_NAMES[grade]}` +
    (other ? `, against ${GRADE_NAMES[other.grade]}` : "");
  return (
    <button
      type="button"
      aria-label={label}
      aria-pressed={isChosen}
      title={label}
      onClick={onChoose}
      className={`inline-flex min-h-8 w-full items-center justify-center rounded-sm border ${isChosen ? "border-velvet bg-raised" : differs ? "border-ink" : "border-transparent"} hover:border-velvet`}
    >
      <svg width={other ? SQUARE + 14 : SQUARE} height={SQUARE} aria-hidden>
        <GradeSquare grade={grade} size={SQUARE} />
        {other && <GradeSquare grade={other.grade} size={12} x={SQUARE + 2} y={SQUARE - 12} />}
      </svg>
    </button>
  );
}
