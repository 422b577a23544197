import type { Fingering } from "@/core/fingering/study/fingering";
import type { Study } from "@/core/fingering/study/study";
import { NO_PLAN_MARKS } from "@/core/motion/marks/plan-marks";
import { signsOf } from "@/core/motion/marks/signs";
import { planOf } from "@/core/motion/plan/plan";
import { PLAN } from "@/core/physics";
import { bestOf, studyOfCase } from "./grade";
import { LADDER } from "./ladder";
import { EASY, HARMFUL } from "./plan-cases";

/**
 * `npx tsx quality/plan-sensitivity.ts`: every constant of the plan halved and doubled by itself, over the ladder, the easy and
 * the harmful passages: how far the way moves, and how many warnings and signs there are. Prints the table of docs/plan.md.
 * The constants are changed where they stand, in this process alone.
 */
interface Seen {
  /** x, depth, height and turn of every onset, mm and degrees. */
  readonly way: readonly number[];
  readonly warnings: number;
  readonly signs: number;
}

/** A minute of strokes says no more than a few seconds of them here. */
const LONGEST = 80;

const passages = [...EASY, ...HARMFUL, ...LADDER].map(({ passage }) => passage);
const cases = passages
  .filter(({ music }) => music.split(" ").length <= LONGEST)
  .map((passage): readonly [Study, Fingering] => {
    const study = studyOfCase(passage);
    return [study, bestOf(study)];
  });

function seen(): Seen {
  const way: number[] = [];
  let [warnings, signs] = [0, 0];
  for (const [study, fingering] of cases) {
    const plan = planOf(study, fingering);
    warnings += plan.warnings.length;
    signs += signsOf(plan, NO_PLAN_MARKS, () => "right").length;
    for (const { frames } of plan.hands)
      for (const { x, depth, height, supination } of frames) way.push(x, depth, height, supination);
  }
  return { way, warnings, signs };
}

const constants = PLAN as unknown as Record<string, unknown>;
const plain = seen();

/** A constant times a factor: of a list or a group every one. */
function times(value: unknown, factor: number): unknown {
  if (typeof value === "number") return value * factor;
  if (Array.isArray(value)) return value.map((each) => times(each, factor));
  return Object.fromEntries(Object.entries(value as object).map(([name, each]) => [name, times(each, factor)]));
}

function effect(name: string, factor: number): string {
  const kept = constants[name];
  constants[name] = times(kept, factor);
  const { way, warnings, signs } = seen();
  constants[name] = kept;
  const moved = Math.sqrt(way.reduce((sum, at, i) => sum + (at - plain.way[i]!) ** 2, 0) / Math.max(1, way.length));
  const by = (count: number): string => (count === 0 ? "0" : `${count > 0 ? "+" : ""}${count}`);
  return `${moved.toFixed(1)}, ${by(warnings - plain.warnings)}, ${by(signs - plain.signs)}`;
}

function written(value: unknown): string {
  if (typeof value === "number") return String(Number(value.toFixed(3)));
  return Object.values(value as object)
    .map(written)
    .join(" / ");
}

console.log(`As it is: ${plain.warnings} warnings and ${plain.signs} signs on ${plain.way.length / 4} onsets.\n`);
console.log("| constant | value | halved | doubled |\n| --- | --- | --- | --- |");
for (const name of Object.keys(constants).filter((each) => each !== "bodyKey"))
  console.log(`| \`${name}\` | ${written(constants[name])} | ${effect(name, 0.5)} | ${effect(name, 2)} |`);
