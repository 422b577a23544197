"use client";

import { useEffect, useRef, useState } from "react";
import { SIDES, type Side } from "@/core/hand/finger";
import { poseBetween, type Pose } from "@/core/hand/pose";
import { HandShape, HandToCome } from "../../keyboard/hand-drawing";
import { flipped } from "../../keyboard/keyboard";
import { stepAt } from "../../playing/schedule";
import type { Still, Stills } from "./stills";

interface Props {
  readonly stills: Stills;
  readonly at: number;
  /** When each step is struck, and where playing stands, in quarter notes; null while nothing is played. */
  readonly times: readonly number[];
  readonly clock: (() => number | null) | null;
  /** Where the plan has the hands at a moment of playing; null without a plan. */
  readonly planned?: ((moment: number) => Poses) | null;
}

export type Poses = Readonly<Record<Side, Pose | null>>;

/** ms in which the hands go from step to step when they are walked by hand. */
const GLIDE_MS = 140;
/** Share of the time to the next step for which a hand stays before it goes there. */
const STAYS = 0.35;

/** The hands as they lie, gliding from step to step; while it is played they go with the music. */
export function MovingHands({ stills, at, times, clock, planned = null }: Props) {
  const { poses, moving } = useMovingPoses(stills, at, times, clock, planned);
  const next = clock === null ? stills[at + 1] : undefined;
  return (
    <g data-moving={moving}>
      {SIDES.map((side) => {
        const [still, pose] = [stills[at]?.[side], poses[side]];
        return still && pose ? <HandShape key={side} pose={pose} side={side} striking={still.striking} /> : null;
      })}
      {SIDES.map((side) => {
        const coming = next?.[side];
        return coming && coming.striking.size > 0 ? (
          <HandToCome key={`next ${side}`} pose={coming.pose} striking={coming.striking} />
        ) : null;
      })}
      {!moving &&
        SIDES.map((side) => {
          const still = stills[at]?.[side];
          return still?.opening ? <OpeningMark key={side} opening={still.opening} /> : null;
        })}
    </g>
  );
}

function useMovingPoses(
  stills: Stills,
  at: number,
  times: readonly number[],
  clock: (() => number | null) | null,
  planned: ((moment: number) => Poses) | null,
): { readonly poses: Poses; readonly moving: boolean } {
  const target = posesAt(stills, at);
  const [shown, setShown] = useState<{ readonly poses: Poses; readonly of: Stills; readonly at: number } | null>(null);
  const last = useRef<Poses>(target);
  useEffect(() => {
    const to = posesAt(stills, at);
    const from = last.current;
    const glides = !matchMedia("(prefers-reduced-motion: reduce)").matches;
    const since = performance.now();
    let frame = requestAnimationFrame(function move(now) {
      const share = clock || !glides ? 1 : Math.min(1, Math.max(0, (now - since) / GLIDE_MS));
      const moment = clock?.() ?? null;
      const playing = (now: number): Poses => planned?.(now) ?? posesDuring(stills, times, now);
      const poses = moment === null ? mixed(from, to, eased(share)) : playing(moment);
      last.current = poses;
      setShown({ poses, of: stills, at: share === 1 ? at : -1 });
      if (clock || share < 1) frame = requestAnimationFrame(move);
    });
    return () => cancelAnimationFrame(frame);
  }, [stills, at, times, clock, planned]);
  const still = shown !== null && shown.of === stills && shown.at === at && clock === null;
  return { poses: still ? target : (shown?.poses ?? target), moving: !still };
}

function posesAt(stills: Stills, at: number): Poses {
  return { right: stills[at]?.right?.pose ?? null, left: stills[at]?.left?.pose ?? null };
}

/** Where the hands are at a moment of playing: at a step, then on the way so as to be at the next in time. */
function posesDuring(stills: Stills, times: readonly number[], moment: number): Poses {
  const at = stepAt(times, moment);
  const gap = (times[at + 1] ?? Infinity) - times[at]!;
  const share = Number.isFinite(gap) && gap > 0 ? (moment - times[at]!) / gap : 0;
  return mixed(posesAt(stills, at), posesAt(stills, at + 1), eased(Math.max(0, (share - STAYS) / (1 - STAYS))));
}

function mixed(from: Poses, to: Poses, share: number): Poses {
  const mix = (side: Side): Pose | null => {
    const [a, b] = [from[side], to[side]];
    if (a === null || b === null) return b ?? a;
    return share >= 1 ? b : poseBetween(a, b, share);
  };
  return { right: mix("right"), left: mix("left") };
}

/** Slow, fast, slow. */
function eased(share: number): number {
  return share * share * (3 - 2 * share);
}

/** mm that the figures of an opening take with half a fingertip on either side, and that they stand above a line or a tip. */
const FIGURES_WIDE = 76;
const ABOVE_LINE = 4;
const ABOVE_TIP = 12;

/** The two tips whose opening is nearest its limit, with its mm: over the line between them, or over the tips where these lie close. */
function OpeningMark({ opening: { from, to, mm, limit } }: { opening: NonNullable<Still["opening"]> }) {
  const tips = [flipped(from.y), flipped(to.y)] as const;
  const x = (from.x + to.x) / 2;
  const y = mm < FIGURES_WIDE ? Math.min(...tips) - ABOVE_TIP : (tips[0] + tips[1]) / 2 - ABOVE_LINE;
  return (
    <g data-opening>
      <line
        x1={from.x}
        y1={flipped(from.y)}
        x2={to.x}
        y2={flipped(to.y)}
        stroke="var(--velvet)"
        strokeWidth={1.2}
        strokeDasharray="5 3"
      />
      <text
        x={x}
        y={y}
        fontSize={10}
        textAnchor="middle"
        fontFamily="var(--font-sans)"
        fontWeight={600}
        fill="#201a17"
        stroke="#fffdf7"
        strokeWidth={3}
        paintOrder="stroke"
      >
        {`${Math.round(mm)} of ${Math.round(limit)} mm`}
      </text>
    </g>
  );
}
