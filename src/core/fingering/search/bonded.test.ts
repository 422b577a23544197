import { seeded } from "../../../../tests/support/seeded";
import { note, passage } from "../../../../tests/support/passages";
import { studyOfKeys, studyOn } from "../../../../tests/support/studies";
import { drain } from "../../drain";
import { figuresOf } from "../../figures/find";
import { memoriesOf } from "../../figures/ties";
import type { Bond } from "./conditions";
import type { Stroke } from "../../passage/strokes";
import { price } from "../cost/price";
import { searching } from "./search";
import { BY_FINGER, makeOthersDearer, termsOf } from "./terms";
import { latticesOf, solving, tasksOf, type Study } from "../study/study";

/** A figure of single notes and two-note chords, a note between, and the figure again some semitones away. */
function returning(random: ReturnType<typeof seeded>, length: number): { study: Study; bonds: readonly Bond[] } {
  const keys = Array.from({ length }, () => random.whole(58, 70));
  const by = random.pick([1, 2, -3, 5, 12]);
  const line = [...keys, random.whole(58, 70), ...keys.map((key) => key + by)];
  const doubled = random.chance(0.4) ? random.whole(0, length - 1) : -1;
  const notes = line.flatMap((key, i) => {
    const own = note(`n${i}`, key, `${i}/4`, "1/4");
    return i % (length + 1) === doubled ? [own, note(`d${i}`, key + 4, `${i}/4`, "1/2")] : [own];
  });
  const bonds = keys.map((_, i) => [`n${i}`, `n${i + length + 1}`] as unknown as Bond);
  return { study: studyOn(passage(notes), { tempo: random.pick([60, 160]) }), bonds };
}

/**
 * All digits of all strokes, priced by the function that prices a printed fingering: bonds kept, or where they have a
 * worth, that added for each one broken.
 */
function oracle({ study, bonds }: ReturnType<typeof returning>, worth = Infinity): number {
  const task = tasksOf(study)[0]!;
  const { strokes, onsets } = task.line;
  const partner = new Map(bonds.map(([a, b]) => [b!, a!]));
  const digits = new Int8Array(strokes.length);
  let least = Infinity;
  const other = (stroke: Stroke): Stroke | undefined =>
    strokes.find((s) => s.notes[0] === partner.get(stroke.notes[0]!));
  const place = (at: number): void => {
    const stroke = strokes[at];
    if (stroke === undefined) {
      const broken = strokes.filter((s) => other(s) && digits[other(s)!.index] !== digits[s.index]).length;
      least = Math.min(least, price(task, digits).total + (broken === 0 ? 0 : broken * worth));
      return;
    }
    const bound = other(stroke);
    for (let finger = 1; finger <= 5; finger++) {
      if (bound && worth === Infinity && digits[bound.index] !== finger) continue;
      // Chords here have two notes and are always in reach in natural order.
      const lower: Stroke = onsets[stroke.onset]!.struck[0]!;
      if (lower !== stroke && digits[lower.index]! >= finger) continue;
      digits[at] = finger;
      const pair = lower === stroke ? [] : [lower, stroke].map((s) => ({ finger: digits[s.index] as 1, key: s.key }));
      if (pair.length > 0 && task.placements.look(pair).kind !== "held") continue;
      place(at + 1);
    }
    digits[at] = 0;
  };
  place(0);
  return least;
}

describe("tied figures", () => {
  it("are solved exactly, as trying every fingering that keeps the ties shows", () => {
    const random = seeded(41);
    let dearer = 0;
    for (let trial = 0; trial < 30; trial++) {
      const given = returning(random, random.whole(2, 3));
      const lattices = latticesOf(given.study);
      const [tied] = drain(solving(lattices, { bonds: given.bonds }, 1));
      const [free] = drain(solving(lattices, {}, 1));
      expect(tied!.exact).toBe(true);
      expect(tied!.total).toBeCloseTo(oracle(given), 6);
      for (const [a, b] of given.bonds) expect(tied!.fingering[a!]).toBe(tied!.fingering[b!]);
      if (tied!.total > free!.total + 1e-6) dearer++;
    }
    expect(dearer).toBeGreaterThanOrEqual(5);
  });

  it("are weighed exactly against what they are worth where they may give way", () => {
    const random = seeded(43);
    let [kept, broken] = [0, 0];
    for (let trial = 0; trial < 24; trial++) {
      const given = returning(random, 2);
      const worth = random.pick([0.5, 3, 12]);
      const memories = given.bonds.map(([note, other]) => ({ note: note!, returns: [{ note: other!, worth }] }));
      const [found] = drain(solving(latticesOf(given.study), { memories }, 1));
      expect(found!.exact).toBe(true);
      expect(found!.total).toBeCloseTo(oracle(given, worth), 6);
      const same = given.bonds.every(([a, b]) => found!.fingering[a!] === found!.fingering[b!]);
      if (same) kept++;
      else broken++;
    }
    expect(Math.min(kept, broken)).toBeGreaterThanOrEqual(2);
  });

  it("are weighed exactly in longer lines, as trying every finger of every figure shows", () => {
    const random = seeded(47);
    for (let trial = 0; trial < 6; trial++) {
      const keys = Array.from({ length: 3 }, () => random.whole(58, 70));
      const between = (): number[] => Array.from({ length: random.whole(1, 4) }, () => random.whole(56, 74));
      const up = (by: number): number[] => keys.map((key) => key + by);
      const parts = [keys, between(), up(random.whole(1, 5)), between(), up(random.whole(-5, -1)), between()];
      const notes = parts.flat().map((key, i) => note(`n${i}`, key, `${i}/4`, "1/4"));
      const starts = parts.map((_, i) => parts.slice(0, i).flat().length);
      const worth = random.pick([2, 7, 20]);
      const memories = keys.map((_, i) => ({
        note: `n${i}` as never,
        returns: [starts[2]!, starts[4]!].map((start) => ({ note: `n${start + i}` as never, worth })),
      }));
      const lattices = latticesOf(studyOn(passage(notes), { tempo: random.pick([60, 160]) }));
      const [found] = drain(solving(lattices, { memories }, 1));
      expect(found!.exact).toBe(true);
      let least = Infinity;
      for (let way = 0; way < 125; way++) {
        const fingers = keys.map((_, i) => (Math.floor(way / 5 ** i) % 5) + 1);
        const terms = termsOf(lattices[0]!.task.line, {});
        const dearer = new Float64Array(terms.pins.length * BY_FINGER);
        const pins = Int8Array.from(terms.pins);
        fingers.forEach((finger, i) => {
          pins[i] = finger;
          for (const start of [starts[2]!, starts[4]!]) makeOthersDearer(dearer, start + i, finger, worth);
        });
        least = Math.min(least, drain(searching(lattices[0]!, { ...terms, pins, dearer }, 1))[0]!.total);
      }
      expect(found!.total).toBeCloseTo(least, 6);
    }
  });

  it("are solved to the end in an accompaniment that goes from chord to chord for many bars", () => {
    const random = seeded(9);
    const steps = [0, 2, 4, 5, 7, 9, 11];
    const keyAt = (step: number): number => 48 + 12 * Math.floor(step / 7) + steps[((step % 7) + 7) % 7]!;
    const keys = Array.from({ length: 40 }, () => random.whole(-4, 2)).flatMap((bass) =>
      [0, 4, 2, 4].map((step) => keyAt(bass + step)),
    );
    const study = studyOfKeys(keys, "left");
    const figures = figuresOf(study);
    const memories = memoriesOf(study, figures, "alike");
    expect(memories.length).toBeGreaterThan(10);
    const [found] = drain(solving(latticesOf(study), { memories }, 1));
    expect(found!.exact).toBe(true);
  });

  it("keep pins, and leave loose what is pinned to two fingers", () => {
    const { study, bonds } = returning(seeded(3), 3);
    const [[first, second], [third, fourth]] = bonds as unknown as [[string, string], [string, string]];
    const pins = { [first]: 2, [second]: 3, [fourth]: 4 } as never;
    const [{ fingering }] = drain(solving(latticesOf(study), { pins, bonds }, 1)) as unknown as [
      { fingering: Record<string, number> },
    ];
    expect([fingering[first], fingering[second], fingering[third], fingering[fourth]]).toEqual([2, 3, 4, 4]);
  });

  it("are all kept where some share a note, as one of all their notes is", () => {
    const random = seeded(53);
    for (let trial = 0; trial < 12; trial++) {
      const keys = Array.from({ length: 10 }, () => random.whole(57, 71));
      const notes = keys.map((key, i) => note(`n${i}`, key, `${i}/4`, "1/4"));
      const lattices = latticesOf(studyOn(passage(notes)));
      const bonds = [
        ["n0", "n4"],
        ["n4", "n8"],
        ["n1", "n5"],
        ["n9", "n5"],
      ] as unknown as readonly Bond[];
      const whole = [
        ["n0", "n4", "n8"],
        ["n1", "n5", "n9"],
      ] as unknown as readonly Bond[];
      const [found] = drain(solving(lattices, { bonds }, 1));
      const [one] = drain(solving(lattices, { bonds: whole }, 1));
      expect([found!.exact, one!.exact]).toEqual([true, true]);
      expect(found!.total).toBeCloseTo(one!.total, 6);
      for (const [a, b] of bonds) expect(found!.fingering[a!]).toBe(found!.fingering[b!]);
    }
  });

  it("are kept as far as pins let them", () => {
    const keys = [60, 64, 62, 65, 64, 62, 60];
    const notes = keys.map((key, i) => note(`n${i}`, key, `${i}/4`, "1/4"));
    const bonds = [
      ["n0", "n2"],
      ["n2", "n6"],
    ] as unknown as readonly Bond[];
    const [found] = drain(solving(latticesOf(studyOn(passage(notes))), { bonds, pins: { n0: 1, n6: 2 } as never }, 1));
    const { n0, n2, n6 } = found!.fingering as unknown as Record<string, number>;
    expect([n0, n6]).toEqual([1, 2]);
    expect([n0, n6]).toContain(n2);
    expect(Number.isFinite(found!.total)).toBe(true);
  });

  it("give more than one, all with the same tied fingers", () => {
    const { study, bonds } = returning(seeded(8), 3);
    const list = drain(solving(latticesOf(study), { bonds }, 4));
    expect(list).toHaveLength(4);
    for (const { fingering } of list) for (const [a, b] of bonds) expect(fingering[a!]).toBe(fingering[b!]);
  });
});
