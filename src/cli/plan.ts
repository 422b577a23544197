import { printedDigits } from "@/core/options/first-options";
import { bestFingerings } from "@/core/fingering/study/study";
import { offCentre } from "@/core/motion/path/centre";
import type { HandPlan } from "@/core/motion/plan/hand-plan";
import { planOf, type Plan } from "@/core/motion/plan/plan";
import { placeText } from "@/core/passage/place";
import { run, type Command, type WordsFound } from "./command";
import { rounded, type Opened } from "./file-study";
import { aligned } from "./table";
import { MANNER_USAGE, type Wishes } from "./wishes";

export const PLAN: Command = {
  name: "plan",
  summary: "the hand plan of each file's own digits: how the hand gets through, onset by onset, and what to watch.",
  usage: `FILE... ${MANNER_USAGE} [--pin ID=F]...`,
  find: planned,
};

/** The hand plan of each file's own digits, then pins, and what is left worked out around them: frames and figures. */
export function plan(args: readonly string[], print: (line: string) => void, tell = print): number {
  return run(PLAN, args, { print, tell });
}

function planned({ study }: Opened, wishes: Wishes): WordsFound {
  const [fingering] = bestFingerings(study, { pins: { ...printedDigits(study), ...wishes.pin } }, 1);
  const found = planOf(study, fingering!);
  const { tempo, hands, together, inFront, warnings } = found;
  const entry = {
    tempo,
    hands: hands.map(handEntry),
    together: deep(together),
    inFront: deep(inFront),
    warnings: deep(warnings),
  };
  return { entry, table: tableOf(found), fingering: fingering! };
}

/** What to watch, then each hand's way onset by onset. */
function tableOf({ hands, warnings }: Plan): readonly string[] {
  const head = ["where", "turn", "height", "in", "sideways", "shape", "strain"];
  return [
    ...warnings.map(({ words }) => `! ${words}`),
    ...hands.flatMap(({ side, frames }) => [
      "",
      `${side} hand (degrees to the little finger; mm)`,
      ...aligned([
        head,
        ...frames.map(({ frame, supination, height, depth, x, shape, strain }) => [
          placeText(frame.onset.bar, frame.onset.beat),
          ...[supination, height, depth, x].map((value) => String(Math.round(value))),
          shape,
          String(Math.round(strain)),
        ]),
      ]),
    ]),
  ];
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
      ulnarDeviation: rounded(frame.ulnarDeviation),
      supination: rounded(frame.supination),
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
