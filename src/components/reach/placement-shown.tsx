"use client";

import { useMemo } from "react";
import { pairName } from "@/core/hand/pair";
import { pitch, pitchName, type Pitch } from "@/core/keyboard/pitch";
import type { Allowed, Held, OutOfReach } from "@/core/placement/placement";
import type { Placements } from "@/core/placement/placements";
import { INTERVAL_NAMES, reachSheet, type KeyColours } from "@/core/reach/sheet";
import { gradeOf } from "@/core/placement/grade";
import { HandDrawing } from "../keyboard/hand-drawing";
import { Keyboard } from "../keyboard/keyboard";
import { GRADE_NAMES, GradeSquare } from "./grade-look";
import { causesInWords, shapeInWords } from "./placement-words";

interface Props {
  readonly placements: Placements;
  readonly pair: string;
  readonly semitones: number;
  readonly colours: KeyColours;
  readonly allowed: Allowed;
}

/** The hand on the keys in the placement of the tapped cell, and what it costs. */
export function PlacementShown({ placements, pair, semitones, colours, allowed }: Props) {
  const cell = useMemo(
    () =>
      reachSheet(placements, colours, allowed).find((row) => pairName(...row.pair) === pair)?.cells[semitones - 1] ??
      null,
    [placements, pair, semitones, colours, allowed],
  );
  if (!cell) return <p className="mt-4 text-sm text-soft">Tap a cell to see the hand on the keys.</p>;
  const { placement, keys } = cell;
  const [lowest, highest] = [Math.min(...keys), Math.max(...keys)];
  const grade = gradeOf(placement);
  return (
    <section
      aria-label="The hand on the keys"
      className="mt-3 grid items-start gap-6 border-t border-hairline pt-3 md:grid-cols-[1fr_20rem]"
    >
      <Keyboard
        instrument={placements.instrument}
        lowest={around(lowest, -10)}
        highest={around(highest, 10)}
        front={90}
        beside={0}
        label={`${pair.replace("-", " and ")} on ${keys.map(pitchName).join(" and ")}`}
        className="max-h-64 w-full"
      >
        {placement.kind === "held" && (
          <HandDrawing
            hand={placements.hand}
            contacts={new Map(placement.tips.map((tip) => [tip.finger, tip.at]))}
            wrist={placement.wrist}
            striking={new Set(placement.tips.map((tip) => tip.finger))}
          />
        )}
      </Keyboard>
      <div className="text-sm">
        <h3 className="flex items-center gap-2 font-serif text-xl">
          <svg width={20} height={20} aria-hidden>
            <GradeSquare grade={grade} size={20} />
          </svg>
          {pair.replace("-", " and ")}, {INTERVAL_NAMES[semitones - 1]}: {GRADE_NAMES[grade]}
        </h3>
        {placement.kind === "held" ? <HeldWords held={placement} /> : <OutWords out={placement} />}
      </div>
    </section>
  );
}

function HeldWords({ held }: { held: Held }) {
  return (
    <>
      <p>
        Strain {Math.round(held.strain)} of 100; {shapeInWords(held)}.
        {held.nearest && ` ${held.nearest.pair.join(" and ")} could open ${Math.round(held.nearest.room)} mm more.`}
      </p>
      <ul className="mt-1 text-soft">
        {causesInWords(held.causes).map(({ words, strain }) => (
          <li key={words} className="flex justify-between border-b border-hairline py-0.5">
            <span>{words}</span>
            <span>{strain.toFixed(1)}</span>
          </li>
        ))}
      </ul>
    </>
  );
}

function OutWords({ out: { short, tried } }: { out: OutOfReach }) {
  return (
    <p>
      {short
        ? `${short.pair.join(" and ")} are ${Math.ceil(short.mm)} mm short, even ${shapeInWords(tried)}.`
        : "The tips cannot lie so far in and out at once."}
    </p>
  );
}

/** The nearest white key some semitones away, on the keyboard. */
function around(key: number, by: number): Pitch {
  let at = Math.min(108, Math.max(21, key + by));
  while ([1, 3, 6, 8, 10].includes(at % 12)) at += Math.sign(by);
  return pitch(Math.min(108, Math.max(21, at)));
}
