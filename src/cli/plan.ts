import { printedDigits } from "@/core/fingering/first-options";
import { bestFingerings, type Study } from "@/core/fingering/study";
import { offCentre } from "@/core/motion/centre";
import type { HandPlan } from "@/core/motion/hand-plan";
import { planOf } from "@/core/motion/plan";
import { eachFile, rounded } from "./file-study";
import { MANNER_USAGE, type Wishes } from "./wishes";

export const PLAN_USAGE = `plan FILE... ${MANNER_USAGE} [--pin ID=F]... --json`;

/** The hand plan of each file's own digits, then pins, and what is left worked out around them: frames and figures. */
export function plan(args: readonly string[], print: (line: string) => void): number {
  return eachFile(args, PLAN_USAGE, print, planned);
}

function planned(study: Study, wishes: Wishes): object {
  const [fingering] = bestFingerings(study, { pins: { ...printedDigits(study), ...wishes.pin } }, 1);
  const { tempo, hands, together, inFront, warnings } = planOf(study, fingering!);
  return {
    tempo,
    hands: hands.map(handEntry),
    together: deep(together),
    inFront: deep(inFront),
    warnings: deep(warnings),
  };
}

function handEntry({ side, frames, path: _path, hand: _hand, ...figures }: HandPlan): object {
  return {
    hand: side,
    frames: frames.map((frame) => ({
      notes: frame.notes,
      ms: rounded(frame.ms),
      x: rounded(frame.x),
      depth: rounded(frame.depth),
      height: rounded(frame.height),
      yaw: rounded(frame.yaw),
      roll: rounded(frame.roll),
      shape: frame.shape,
      tilt: frame.tilt,
      offCentre: rounded(offCentre(frame)),
      room: deep(frame.room),
      strain: rounded(frame.strain),
      short: frame.short,
      tips: frame.tips.map(({ finger, key, part, at }) => ({
        finger,
        midi: key,
        part,
        x: rounded(at.x),
        y: rounded(at.y),
      })),
      why: frame.texture.why,
    })),
    ...(deep(figures) as object),
  };
}

/** The same with every number rounded. */
function deep(value: unknown): unknown {
  if (typeof value === "number") return Number.isFinite(value) ? rounded(value) : null;
  if (Array.isArray(value)) return value.map(deep);
  if (value === null || typeof value !== "object") return value;
  return Object.fromEntries(Object.entries(value).map(([name, of]) => [name, deep(of)]));
}
