"use client";

import { useMemo } from "react";
import { poseOf } from "@/core/hand/pose";
import { adjustmentsAt } from "@/core/motion/plan/adjust";
import type { Clearance } from "@/core/motion/hand/clearance";
import type { HandPlan } from "@/core/motion/plan/hand-plan";
import type { Tried } from "../use-plan-shown";
import { PLAN } from "@/core/physics";

const WORTH = PLAN.worthTrying;

interface Props {
  readonly hand: HandPlan;
  readonly at: number;
  readonly near: Clearance | null;
  readonly tried: Tried | null;
  readonly onTry: (tried: Tried | null) => void;
}

/** How many are offered at once. */
const SHOWN = 3;

/** Small changes at an onset: A is the hand as it lies, B the change, drawn in dashes over it. */
export function Adjustments({ hand, at, near, tried, onTry }: Props) {
  const frame = hand.frames[at]!;
  const { notes } = frame;
  const found = useMemo(
    () =>
      adjustmentsAt(hand, at, near)
        .filter((a) => a.strain > WORTH.strain || a.clearance >= WORTH.clearance)
        .slice(0, SHOWN),
    [hand, at, near],
  );
  if (found.length === 0) return null;
  const isTried = (id: string): boolean => tried !== null && tried.id === id && tried.notes[0] === notes[0];
  return (
    <fieldset className="mt-1">
      <legend className="text-soft">A is as it lies. To try as B:</legend>
      {found.map(({ id, words, strain, clearance, tips, wrist }) => (
        <button
          key={id}
          type="button"
          aria-pressed={isTried(id)}
          onClick={() => {
            const pose = poseOf(hand.hand, tips, wrist);
            onTry(isTried(id) || !pose ? null : { notes, id, pose });
          }}
          className="block min-h-9 w-full border-b border-hairline text-left aria-pressed:border-velvet aria-pressed:font-medium"
        >
          {words}
          <span className="text-soft">
            {strain > WORTH.strain && `, ${strain.toFixed(1)} less strain`}
            {strain < -WORTH.strain && `, ${(-strain).toFixed(1)} more strain`}
            {clearance >= WORTH.clearance && `, ${clearance.toFixed(0)} mm more room to the key beside`}
          </span>
        </button>
      ))}
    </fieldset>
  );
}
