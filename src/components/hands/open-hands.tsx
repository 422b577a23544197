"use client";

import { useRef } from "react";
import { FINGERS, fingerName, type Finger } from "@/core/hand/finger";
import { limitsOf, type Hand } from "@/core/hand/hand";
import { pairName } from "@/core/hand/pair";
import type { PairMeasured } from "@/core/hand/measured";
import type { Point } from "@/core/hand/pose";
import { keyMiddle } from "@/core/keyboard/geometry";
import type { Instrument } from "@/core/keyboard/instrument";
import { pitch } from "@/core/keyboard/pitch";
import { HAND } from "@/core/physics";
import { HandDrawing } from "../keyboard/hand-drawing";
import { flipped, Keyboard } from "../keyboard/keyboard";
import { shown } from "./fields";
import type { HandDraft } from "./use-hand-draft";

interface Props {
  readonly drafts: readonly HandDraft[];
  readonly instrument: Instrument;
  /** Which of a pair's figures the hands are opened to, and which a drag changes. */
  readonly figure: keyof PairMeasured;
}

const [LEAST, MOST] = HAND.openingRange;

/** Keys under the thumbs, so that both hands have room to open. */
const THUMB_KEY = { right: 65, left: 55 };

/** Both hands open over the keyboard, to scale; every fingertip can be drawn to where it comes. */
export function OpenHands({ drafts, instrument, figure }: Props) {
  return (
    <Keyboard
      instrument={instrument}
      lowest={pitch(31)}
      highest={pitch(89)}
      front={112}
      beside={0}
      label="Both hands open over the keyboard, to scale"
      className="mt-2 max-h-[21rem] w-full touch-none"
      isGroup
    >
      {drafts.map((draft) => (
        <OpenHand key={draft.side} draft={draft} on={instrument} figure={figure} />
      ))}
    </Keyboard>
  );
}

function OpenHand({ draft, on, figure }: { draft: HandDraft; on: Instrument; figure: keyof PairMeasured }) {
  const { hand, side, set } = draft;
  const tips = openTips(draft, on, figure);
  const mirror = side === "right" ? 1 : -1;
  const drawTo = (finger: Finger, x: number): void => {
    // Drawing the thumb opens it from the little finger, any other finger from the thumb.
    const [moved, from] = finger === 1 ? [5 as const, tips.get(5)!] : [finger, tips.get(1)!];
    const opening = finger === 1 ? mirror * (from.x - x) : mirror * (x - from.x);
    set(`pairs.1-${moved}.${figure}`, shown(Math.max(LEAST, Math.round(opening))));
  };
  return (
    <g data-open-hand={side}>
      <HandDrawing hand={hand} contacts={tips} striking={new Set()} />
      {FINGERS.slice(1).map((finger) => (
        <Opening
          key={finger}
          from={tips.get(1)!}
          to={tips.get(finger)!}
          beyond={outermost(tips, mirror)}
          row={finger}
        />
      ))}
      {FINGERS.map((finger) => (
        <Handle
          key={finger}
          at={tips.get(finger)!}
          radius={hand.tipWidths[finger - 1]! / 2 + 3}
          label={`${side} ${fingerName(finger)}`}
          opening={Math.abs(tips.get(finger)!.x - tips.get(finger === 1 ? 5 : 1)!.x)}
          onDraw={(x) => drawTo(finger, x)}
        />
      ))}
    </g>
  );
}

/** Where the tips come when every finger opens from the thumb as it was measured, or else is estimated, to open. */
function openTips(
  { hand, measured }: HandDraft,
  on: Instrument,
  figure: keyof PairMeasured,
): ReadonlyMap<Finger, Point> {
  const mirror = hand.side === "right" ? 1 : -1;
  const thumb = keyMiddle(pitch(THUMB_KEY[hand.side]), on);
  const front = hand.behind[0]! + 16;
  return new Map(
    FINGERS.map((finger) => {
      const opening =
        finger === 1 ? 0 : (sound(measured.pairs?.[pairName(1, finger)]?.[figure]) ?? limitOf(hand, finger, figure));
      return [finger, { x: thumb + mirror * opening, y: front - hand.behind[finger - 1]! }];
    }),
  );
}

/** Where figures stand clear of the hand. */
function outermost(tips: ReadonlyMap<Finger, Point>, mirror: number): number {
  return mirror * Math.max(...[...tips.values()].map((at) => mirror * at.x)) + mirror * 8;
}

function limitOf(hand: Hand, finger: Finger, figure: keyof PairMeasured): number {
  const { widestComfortable, widestPractical } = limitsOf(hand, 1, finger);
  return figure === "widest" ? widestPractical : widestComfortable;
}

/** A figure that can be drawn. */
function sound(mm: number | undefined): number | undefined {
  return mm !== undefined && Number.isFinite(mm) ? mm : undefined;
}

/** A dimension line in front of the keys, from the thumb to a finger, with its mm. */
function Opening({ from, to, beyond, row }: { from: Point; to: Point; beyond: number; row: number }) {
  const y = flipped(0) + 46 + (row - 2) * 15;
  const ends = [from.x, to.x].sort((a, b) => a - b) as [number, number];
  return (
    <g stroke="var(--ink-soft)" strokeWidth={0.5} fill="var(--ink)">
      <line x1={ends[0]} x2={ends[1]} y1={y} y2={y} />
      <line x1={ends[0]} x2={ends[0]} y1={y - 2} y2={y + 2} />
      <line x1={ends[1]} x2={ends[1]} y1={y - 2} y2={y + 2} />
      <text
        x={beyond}
        y={y + 3}
        textAnchor={to.x < from.x ? "end" : "start"}
        fontSize={9}
        stroke="none"
        fontFamily="var(--font-sans)"
      >
        {`1–${row}  ${shown(ends[1] - ends[0])}`}
      </text>
    </g>
  );
}

interface HandleProps {
  readonly at: Point;
  readonly radius: number;
  readonly label: string;
  readonly opening: number;
  readonly onDraw: (x: number) => void;
}

/** What is taken hold of to draw a fingertip sideways: by pointer, or by arrows a millimetre at a time. */
function Handle({ at, radius, label, opening, onDraw }: HandleProps) {
  const circle = useRef<SVGCircleElement>(null);
  const draw = (event: React.PointerEvent): void => {
    if (!circle.current?.hasPointerCapture(event.pointerId)) return;
    const into = circle.current.getScreenCTM()!.inverse();
    onDraw(new DOMPoint(event.clientX, event.clientY).matrixTransform(into).x);
  };
  return (
    <circle
      ref={circle}
      cx={at.x}
      cy={flipped(at.y)}
      r={radius}
      fill="transparent"
      className="cursor-ew-resize"
      role="slider"
      tabIndex={0}
      aria-label={label}
      aria-valuenow={Math.round(opening)}
      aria-valuemin={LEAST}
      aria-valuemax={MOST}
      aria-valuetext={`${Math.round(opening)} mm`}
      onPointerDown={(event) => circle.current!.setPointerCapture(event.pointerId)}
      onPointerMove={draw}
      onKeyDown={(event) => {
        if (event.key !== "ArrowLeft" && event.key !== "ArrowRight") return;
        event.preventDefault();
        onDraw(at.x + (event.key === "ArrowRight" ? 1 : -1));
      }}
    />
  );
}
