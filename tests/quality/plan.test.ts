import { NO_PLAN_MARKS } from "@/core/motion/marks/plan-marks";
import { signsOf } from "@/core/motion/marks/signs";
import { meeting } from "@/core/motion/path/clock";
import { coordinatesAt } from "@/core/motion/path/path";
import { sideways } from "@/core/motion/path/place";
import { planOf, type Plan } from "@/core/motion/plan/plan";
import { bestOf, studyOfCase } from "../../quality/grade";
import type { KindCase } from "../../quality/kind";
import { LADDER } from "../../quality/ladder";
import { EASY, HARMFUL, type PlanCase } from "../../quality/plan-cases";
import { shortestWay } from "../support/shortest-way";

function planned(passage: KindCase): Plan {
  const study = studyOfCase(passage);
  return planOf(study, bestOf(study));
}

const named = (cases: readonly PlanCase[]) =>
  cases.map((each, i) => [`${i + 1}: ${each.passage.name}, ${each.passage.side}`, each] as const);

describe("warnings of the hand plan", () => {
  it("are looked at on twenty easy passages and on twenty harmful ones", () => {
    expect([EASY.length, HARMFUL.length]).toEqual([20, 20]);
  });

  it.each(named(EASY))("none on an easy passage: %s", (_, { passage }) => {
    expect(planned(passage).warnings.map((w) => w.words)).toEqual([]);
  });

  it.each(named(HARMFUL))("what harms is among the first three: %s", (_, { passage, warns }) => {
    const first = planned(passage).warnings.slice(0, 3);
    expect(first.some(({ id }) => warns.includes(id))).toBe(true);
  });

  it("are one of a kind in each hand, dearest first, however often it comes again", () => {
    for (const { passage } of HARMFUL) {
      const { warnings } = planned(passage);
      const kinds = warnings.map(({ id, side }) => `${id} ${side}`);
      expect(new Set(kinds).size).toBe(kinds.length);
      for (const { cost, again } of warnings) for (const other of again) expect(other.cost).toBeLessThanOrEqual(cost);
    }
    const octaves = planned(HARMFUL.find(({ passage }) => passage.name === "fast octaves for a minute")!.passage);
    expect(octaves.warnings.length).toBeLessThanOrEqual(4);
    expect(Math.max(...octaves.warnings.map((w) => w.again.length))).toBeGreaterThan(300);
  });

  it("does not end when a leap of an octave is added", () => {
    for (const { passage } of HARMFUL.slice(10, 13)) {
      const [base, more] = [planned(passage), planned({ ...passage, music: `${passage.music} C7` })];
      for (const { id } of base.warnings) expect(more.warnings.map((w) => w.id)).toContain(id);
    }
  });
});

describe("signs of the hand plan", () => {
  const PASSAGES = [...EASY.map(({ passage }) => passage), ...LADDER.map(({ passage }) => passage)];

  it("are about a third of the notes, and at most one for a group", () => {
    let [signs, onsets] = [0, 0];
    for (const passage of PASSAGES) {
      const plan = planned(passage);
      const [hand] = plan.hands;
      const few = signsOf(plan, NO_PLAN_MARKS, () => passage.side);
      expect(few.length).toBeLessThanOrEqual(hand!.impulses.length);
      signs += few.length;
      onsets += hand!.frames.length;
    }
    expect(signs / onsets).toBeLessThan(0.35);
  });

  it("are all there where they are asked for, and none but the player's own where they are not", () => {
    const plan = planned(LADDER[6]!.passage);
    const all = signsOf(plan, NO_PLAN_MARKS, () => "right", "all");
    const few = signsOf(plan, NO_PLAN_MARKS, () => "right", "few");
    expect(all.length).toBeGreaterThan(few.length);
    for (const { key } of few) expect(all.map((sign) => sign.key)).toContain(key);
    expect(signsOf(plan, NO_PLAN_MARKS, () => "right", "own")).toEqual([]);
  });
});

interface Measured {
  /** mm that the hand goes along the keys, sampled every 5 ms. */
  readonly length: number;
  /** mm of the shortest way on which all fingers reach at ease at every onset. */
  readonly shortest: number;
  /** The greatest acceleration, mm a second and second. */
  readonly acceleration: number;
}

function measured(passage: KindCase): Measured {
  const [hand] = planned(passage).hands;
  const { frames, path } = hand!;
  const x = (ms: number): number => coordinatesAt(path, ms).x;
  let [length, acceleration] = [0, 0];
  for (let ms = frames[0]!.ms; ms < frames.at(-1)!.ms; ms += 5) {
    length += Math.abs(x(ms + 5) - x(ms));
    acceleration = Math.max(acceleration, Math.abs(x(ms + 10) - 2 * x(ms + 5) + x(ms)) * 40_000);
  }
  const stretches = path.places.map((place) => meeting(place.within, sideways(hand!.hand, place)));
  return { length, acceleration, shortest: shortestWay(stretches) };
}

describe("the path", () => {
  const find = (name: string): KindCase => LADDER.find(({ passage }) => passage.name === name)!.passage;
  const TREMOLO = HARMFUL.find(({ passage }) => passage.name === "tremolo in octaves, fast")!.passage;

  it("stays where it is in a tremolo, and in five fingers goes neither along nor in and out", () => {
    const tremolo = planned(TREMOLO).hands[0]!.frames.slice(2, -2);
    const x = tremolo.map((frame) => frame.x);
    expect(Math.max(...x) - Math.min(...x)).toBeLessThan(20);
    const five = planned(EASY[2]!.passage).hands[0]!.frames;
    const depths = five.map((frame) => frame.depth);
    expect(Math.max(...depths) - Math.min(...depths)).toBeLessThan(8);
    expect(measured(EASY[2]!.passage).length).toBeLessThan(25);
  });

  it("goes evenly through a scale: no step of it stands still or jumps", () => {
    const x = planned(find("two octaves of a scale")).hands[0]!.frames.map((frame) => frame.x);
    const steps = x.slice(1).map((at, i) => at - x[i]!);
    const inner = steps.slice(2, -3);
    expect(Math.min(...inner)).toBeGreaterThan(8);
    expect(Math.max(...inner)).toBeLessThan(45);
  });

  it.each([...LADDER, ...EASY, ...HARMFUL].map(({ passage }) => [passage.name, passage] as const))(
    "is at most a tenth longer than the shortest at ease, and stays where that stays: %s",
    (_, passage) => {
      const { length, shortest } = measured(passage);
      expect(length).toBeLessThan(1.1 * shortest + 1e-6);
    },
  );

  // Before the hand's middle was a stretch and not a point, at the same tempi.
  it.each([
    ["two octaves of a scale", 31_000],
    ["arpeggio of two octaves", 22_000],
    ["five fingers", 31_000],
    ["octaves in quarters", 20_000],
    ["thirds in eighths", 30_600],
    ["chords of an octave in quarters", 36_400],
    ["close triads in turn", 24_000],
    ["waltz bass", 212_600],
  ] as const)("is less hurried than it was: %s", (name, before) => {
    expect(measured(find(name)).acceleration).toBeLessThan(before / 1.5);
  });
});
