"use client";

import { counted } from "@/core/counted";
import { parseAsFloat, useQueryState } from "nuqs";
import { Progress } from "radix-ui";
import { pitchName, type Pitch } from "@/core/keyboard/pitch";
import { GRADES } from "@/core/placement/grade";
import { isBeyond, momentsIn, type PlaceSurveyed, type Survey } from "@/core/reach/survey";
import { remedyLabel } from "@/core/reach/remedies";
import type { RemedyKind } from "@/core/passage/remedied";
import { placeText } from "@/core/passage/place";
import { GRADE_NAMES, GradeKey, GradeSquare } from "../reach/grade-look";
import { Button } from "../ui/button";
import { INPUT_LOOK } from "../ui/field";
import { BarStrip } from "./bar-strip";
import { useSurvey } from "./use-survey";

interface Props {
  readonly pieceId: string;
  /** mm of the instrument in use. */
  readonly octaveWidth: number;
  /** Goes to a new passage about a bar, 1 for the first. */
  readonly onBar: (bar: number) => void;
}

/** Octave widths in use, mm, widest first. */
const WIDTHS = [164.5, 152, 140];

/** Where the piece asks more than a hand can hold: a strip of all its bars, the worst places, and another keyboard. */
export function PieceSurvey({ pieceId, octaveWidth, onBar }: Props) {
  const widths = WIDTHS.filter((width) => width !== octaveWidth);
  const [named, setOther] = useQueryState("octave", parseAsFloat);
  // An address may name any width: one that is not offered counts as none.
  const other = named !== null && widths.includes(named) ? named : octaveWidth > 152 ? 152 : widths[0]!;
  const { surveying, begin, stop } = useSurvey(pieceId, other);
  return (
    <section aria-label="Survey" className="mt-3 border-b border-hairline pb-4">
      <div className="flex flex-wrap items-center justify-between gap-3">
        <h2 className="font-serif text-xl">What it asks of these hands</h2>
        <label className="flex items-center gap-2 text-sm">
          Against an octave of
          <select className={INPUT_LOOK} value={other} onChange={(e) => void setOther(Number(e.target.value))}>
            {widths.map((width) => (
              <option key={width} value={width}>
                {width} mm
              </option>
            ))}
          </select>
        </label>
      </div>
      {surveying.state === "working" && <Working done={surveying.done} of={surveying.of} onStop={stop} />}
      {surveying.state === "stopped" && (
        <p className="flex items-center gap-3 text-sm">
          The survey was stopped. <Button onClick={() => void begin()}>Survey the piece</Button>
        </p>
      )}
      {surveying.state === "failed" && (
        <p className="flex items-center gap-3 text-sm">
          <span role="alert" className="text-vermilion">
            {surveying.message}
          </span>{" "}
          <Button onClick={() => void begin()}>Survey the piece</Button>
        </p>
      )}
      {surveying.state === "done" && (
        <>
          <Verdict own={surveying.own} other={surveying.other} width={octaveWidth} otherWidth={other} />
          <BarStrip bars={surveying.own.bars} onBar={onBar} />
          <div className="mt-1">
            <GradeKey />
          </div>
          <Worst places={surveying.own.worst} onBar={onBar} />
        </>
      )}
    </section>
  );
}

function Working({ done, of, onStop }: { done: number; of: number; onStop: () => void }) {
  return (
    <div className="flex min-h-24 items-center gap-4 text-sm">
      <Progress.Root
        value={of === 0 ? null : Math.round((100 * done) / of)}
        aria-label="Bars surveyed"
        className="h-1 w-64 bg-hairline"
      >
        <Progress.Indicator className="h-full bg-velvet" style={{ width: `${of === 0 ? 0 : (100 * done) / of}%` }} />
      </Progress.Root>
      <span className="w-40">
        {of === 0 ? "Reading the piece…" : `${Math.ceil(done / 2)} of ${counted(of / 2, "bar")}`}
      </span>
      <Button onClick={onStop}>Stop</Button>
    </div>
  );
}

interface VerdictProps {
  readonly own: Survey;
  readonly other: Survey;
  readonly width: number;
  readonly otherWidth: number;
}

function Verdict({ own, other, width, otherWidth }: VerdictProps) {
  const moments = momentsIn(own.counts);
  if (moments === 0) return <p className="text-sm">No hand ever has two keys to hold at once in this piece.</p>;
  const [out, otherOut] = [own.counts["out-of-reach"], other.counts["out-of-reach"]];
  const helped = Object.entries(own.remedies) as [RemedyKind, number][];
  return (
    <div className="max-w-prose text-sm">
      {isBeyond(own) && (
        <p className="font-medium">
          As it is written, this piece is not for these hands: {out} of {moments} moments are out of reach.
        </p>
      )}
      <p>
        Of {moments} moments with more than one key to hold,{" "}
        {GRADES.map((grade) => `${own.counts[grade]} ${GRADE_NAMES[grade]}`).join(", ")}. On an octave of {otherWidth}{" "}
        mm in the place of {width} mm, {otherOut} would be out of reach.
      </p>
      {helped.length > 0 && (
        <p className="text-soft">
          Remedies: {helped.map(([kind, count]) => `${remedyLabel(kind)} helps ${count}`).join(", ")}.
        </p>
      )}
    </div>
  );
}

/** Places listed without asking for more. */
const SHOWN_AT_ONCE = 3;

function Worst({ places, onBar }: { places: readonly PlaceSurveyed[]; onBar: (bar: number) => void }) {
  const hard = places.filter((p) => p.grade !== "relaxed");
  if (hard.length === 0) return null;
  const [first, more] = [hard.slice(0, SHOWN_AT_ONCE), hard.slice(SHOWN_AT_ONCE)];
  return (
    <div className="mt-3 text-sm">
      <h3 className="pb-1 font-medium">The hardest places</h3>
      <Places places={first} onBar={onBar} />
      {more.length > 0 && (
        <details>
          <summary className="min-h-11 cursor-pointer py-2.5 text-soft">{more.length} more</summary>
          <Places places={more} onBar={onBar} />
        </details>
      )}
    </div>
  );
}

function Places({ places, onBar }: { places: readonly PlaceSurveyed[]; onBar: (bar: number) => void }) {
  return (
    <table className="w-full">
      <tbody>
        {places.map((place) => (
          <tr key={`${place.note}${place.side}`} className="border-t border-hairline">
            <td className="w-7 py-1">
              <svg width={18} height={18} aria-hidden>
                <GradeSquare grade={place.grade} size={18} />
              </svg>
            </td>
            <td className="w-40">{placeText(place.number, place.beat)}</td>
            <td className="w-24">{place.side} hand</td>
            <td>{place.keys.map((key) => pitchName(key as Pitch)).join(", ")}</td>
            <td className="w-56 text-soft">{said(place)}</td>
            <td className="w-32 text-right">
              <Button look="quiet" onClick={() => onBar(place.bar)}>
                New passage
              </Button>
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function said({ grade, short, strain, remedies }: PlaceSurveyed): string {
  if (grade !== "out-of-reach") return `${GRADE_NAMES[grade]}, strain ${Math.round(strain)}`;
  const by = short === null ? GRADE_NAMES[grade] : `${Math.ceil(short)} mm short`;
  return remedies.length > 0 ? `${by}; ${remedies.map(remedyLabel).join(", ")}` : `${by}; no remedy that you allow`;
}
